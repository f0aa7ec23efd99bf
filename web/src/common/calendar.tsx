import { DayPicker } from 'react-day-picker';
import 'react-day-picker/style.css';
import { fromNative, toNative } from './read-day';

interface Props {
  value: string;
  min?: string;
  max?: string;
  onPick: (day: string) => void;
}

/** A month to pick a day from. */
export function Calendar({ value, min, max, onPick }: Props) {
  return (
    <div className="calendar rounded-box border border-base-300 bg-base-100 p-2">
      <DayPicker
        mode="single"
        required
        autoFocus
        weekStartsOn={1}
        defaultMonth={toNative(value)}
        selected={toNative(value)}
        onSelect={(day) => onPick(fromNative(day))}
        disabled={[...(min ? [{ before: toNative(min) }] : []), ...(max ? [{ after: toNative(max) }] : [])]}
      />
    </div>
  );
}
