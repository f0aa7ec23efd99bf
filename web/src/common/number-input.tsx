import { useState, type InputHTMLAttributes } from 'react';
import { typed } from './numbers';

type Props = Omit<InputHTMLAttributes<HTMLInputElement>, 'value' | 'onChange'> & {
  value: number;
  /** NaN while what stands there is no number */
  onChange: (n: number) => void;
};

/** An input of one number that keeps what is typed as it is typed. */
export function NumberInput({ value, onChange, className = '', ...rest }: Props) {
  const [text, setText] = useState(Number.isNaN(value) ? '' : String(value));
  return (
    <input
      {...rest}
      className={`input ${className}`}
      inputMode="decimal"
      value={text}
      onChange={(e) => {
        setText(e.target.value);
        onChange(typed(e.target.value) ?? NaN);
      }}
    />
  );
}
