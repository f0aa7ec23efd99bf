import type { Quantity } from '@gonimos/core/units';
import { useState, type InputHTMLAttributes } from 'react';
import { measureText, typedMeasure } from './units';

type Props = Omit<InputHTMLAttributes<HTMLInputElement>, 'value' | 'onChange'> & {
  quantity: Quantity;
  /** in the unit it is kept in; undefined for none */
  value: number | undefined;
  /** NaN while what stands there is no such measure, undefined when nothing does */
  onChange: (value: number | undefined) => void;
};

/** An input of one measure, read in the person's units, that keeps what is typed as it is typed. */
export function MeasureInput({ quantity, value, onChange, className = '', ...rest }: Props) {
  const [text, setText] = useState(() => measureText(value, quantity));
  return (
    <input
      {...rest}
      className={`input ${className}`}
      autoComplete="off"
      value={text}
      onChange={(e) => {
        setText(e.target.value);
        onChange(typedMeasure(e.target.value, quantity));
      }}
    />
  );
}
