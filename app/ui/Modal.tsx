import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from "@headlessui/react";

/** A dialog with its title and a way out. */
export function Modal({
  open,
  onClose,
  title,
  wide,
  children,
}: {
  open: boolean;
  onClose: () => void;
  title: string;
  wide?: boolean;
  children: React.ReactNode;
}) {
  return (
    <Dialog open={open} onClose={onClose} className="relative z-50">
      <DialogBackdrop className="fixed inset-0 bg-ink/30" />
      <div className="fixed inset-0 grid place-items-center p-6">
        <DialogPanel
          className={`max-h-full w-full overflow-auto border border-edge bg-film p-6 ${wide ? "max-w-5xl" : "max-w-lg"}`}
        >
          <DialogTitle className="head text-2xl">{title}</DialogTitle>
          {children}
          <div className="mt-4 text-right">
            <button className="btn" onClick={onClose}>
              Close
            </button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
