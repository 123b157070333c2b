import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from "@headlessui/react";
import { useJob } from "./JobContext";

/** Says that another tab was first, and offers to keep both. */
export function ConflictDialog() {
  const { conflict, settleConflict } = useJob();
  return (
    <Dialog open={conflict} onClose={() => undefined} className="relative z-50">
      <DialogBackdrop className="fixed inset-0 bg-ink/30" />
      <div className="fixed inset-0 grid place-items-center p-6">
        <DialogPanel className="max-w-lg border border-edge bg-film p-6">
          <DialogTitle className="head text-2xl">Another tab changed this job first</DialogTitle>
          <p className="my-3">
            What it did is kept. What you changed was made before this tab knew of it, and is not in the job yet. Keep
            all of yours: it takes its place in the job, and where both of you changed the same structure yours comes
            beside the other as a variant. Or go on from what is there, without it.
          </p>
          <div className="mt-5 flex gap-3">
            <button className="act" onClick={() => settleConflict(true)}>
              Keep mine
            </button>
            <button className="btn" onClick={() => settleConflict(false)}>
              Go on from what is there
            </button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
