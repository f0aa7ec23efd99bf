import { useController, type FieldValues, type Path, type UseFormReturn } from 'react-hook-form';
import { DayInput } from './day-input';

interface Props<T extends FieldValues> {
  form: UseFormReturn<T>;
  name: Path<T>;
  min?: string;
  max?: string;
  id?: string;
  className?: string;
  'aria-invalid'?: boolean;
  'aria-describedby'?: string;
}

/** A day of a form. */
export function FormDay<T extends FieldValues>({ form, name, ...rest }: Props<T>) {
  const { field } = useController({ control: form.control, name });
  return (
    <DayInput
      {...rest}
      name={field.name}
      value={String(field.value ?? '')}
      onChange={field.onChange}
      onBlur={field.onBlur}
    />
  );
}
