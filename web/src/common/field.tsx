import { cloneElement, useId, type ReactElement, type ReactNode } from 'react';
import { inUnits } from './units';

interface InputProps {
  id?: string;
  className?: string;
  'aria-invalid'?: boolean;
  'aria-describedby'?: string;
}

interface Props {
  label: string;
  hint?: ReactNode;
  error?: string | undefined;
  /** one input, select or textarea */
  children: ReactElement<InputProps>;
  className?: string;
}

/** A labelled input with its hint and, when something is wrong, the reason beside it. */
export function Field({ label, hint, error, children, className = '' }: Props) {
  const id = useId();
  return (
    <div className={`min-w-0 ${className}`}>
      <label htmlFor={id} className="mb-1 block font-semibold">
        {label}
      </label>
      {cloneElement(children, {
        id,
        className: `${children.props.className ?? ''} w-full`,
        'aria-invalid': error ? true : undefined,
        'aria-describedby': error || hint ? `${id}-more` : undefined,
      })}
      {(error || hint) && (
        <p id={`${id}-more`} className={`mt-1 text-sm ${error ? 'font-semibold text-error' : 'soft'}`}>
          {error ? `${label} ${inUnits(error)}` : hint}
        </p>
      )}
    </div>
  );
}

/** What went wrong with a whole form. */
export const Trouble = ({ children }: { children: ReactNode }) => (
  <p
    role="alert"
    className="rounded-box border border-error/40 bg-error/10 px-4 py-3 font-semibold text-error"
  >
    {children}
  </p>
);
