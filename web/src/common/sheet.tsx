import { X } from 'lucide-react';
import { useEffect, useRef, type ReactNode } from 'react';

interface Props {
  title: string;
  sub?: ReactNode;
  onClose: () => void;
  children: ReactNode;
  /** stays in view at the foot */
  foot?: ReactNode;
}

/** A sheet beside the page, or up from the bottom on a phone. Escape and the backdrop close it. */
export function Sheet({ title, sub, onClose, children, foot }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const d = dialog.current;
    d?.showModal();
    return () => d?.close();
  }, []);
  return (
    <dialog
      ref={dialog}
      className="sheet"
      aria-labelledby="sheet-title"
      onCancel={(e) => {
        e.preventDefault();
        onClose();
      }}
      onClick={(e) => e.target === dialog.current && onClose()}
    >
      <div className="flex max-h-[inherit] h-full flex-col">
        <header className="flex items-start gap-3 border-b border-base-300 px-5 py-4">
          <div className="min-w-0 grow">
            <h2 id="sheet-title" className="text-xl">
              {title}
            </h2>
            {sub && <div className="soft mt-0.5">{sub}</div>}
          </div>
          <button type="button" className="btn btn-ghost btn-square" aria-label="Close" onClick={onClose}>
            <X size={22} />
          </button>
        </header>
        <div className="grow overflow-y-auto px-5 py-4" tabIndex={0}>
          {children}
        </div>
        {foot && <footer className="border-t border-base-300 px-5 py-3">{foot}</footer>}
      </div>
    </dialog>
  );
}
