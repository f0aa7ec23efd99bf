import type { UseFormRegisterReturn } from 'react-hook-form';

/** Asked back where a figure is hard to believe but may be right: shown once the server has asked. */
export const Meant = ({
  reason,
  register,
}: {
  reason: string | undefined;
  register: UseFormRegisterReturn;
}) =>
  reason ? (
    <label className="flex items-start gap-3 rounded-box bg-[var(--slip)] px-4 py-3">
      <input type="checkbox" className="checkbox mt-0.5" {...register} />
      <span>
        <strong>It is meant so:</strong> {reason}.
      </span>
    </label>
  ) : null;
