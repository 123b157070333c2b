import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from "@headlessui/react";
import { useJob } from "./JobContext";

/** Says that another tab was first, and offers to keep both. */
export function ConflictDialog() {
  const { conflict, settleConflict } = useJob();
  return (
    <Dialog open={conflict !== undefined} onClose={() => undefined} className="relative z-50">
      <DialogBackdrop className="fixed inset-0 bg-ink/30" />
      <div className="fixed inset-0 grid place-items-center p-6">
        <DialogPanel className="max-w-lg border border-edge bg-film p-6">
          <DialogTitle className="head text-2xl">Another tab changed this job first</DialogTitle>
          <p className="my-3">
            What it did is kept. Your last change was made on an older state and is not in the job yet. Keep your
            structure as a variant beside the other, or go on from what is there.
          </p>
          <div className="mt-5 flex gap-3">
            <button className="act" onClick={() => void settleConflict(true)}>
              Keep mine as a variant
            </button>
            <button className="btn" onClick={() => void settleConflict(false)}>
              Go on from what is there
            </button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
