import { chosen, QUESTIONS, type Choices, type Question, type QuestionId } from '@gonimos/core/schools';
import { Field } from '../common/field';

interface Props {
  value: Choices;
  onChange: (next: Choices) => void;
  /** answers of the levels above, that hold where this one says nothing */
  above: { programme?: Choices; nursery?: Choices };
}

const FROM = { cohort: 'this cohort', programme: 'the programme', nursery: 'the nursery', library: 'usual' };

/** Questions on which growers part, each with its answers; empty follows the level above. */
export function SchoolFields({ value, onChange, above }: Props) {
  const part = (decides: Question['decides']) => (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-x-5 gap-y-3 sm:grid-cols-2">
      {(QUESTIONS as readonly Question[])
        .filter((q) => q.decides === decides)
        .map((q) => {
          const id = q.id as QuestionId;
          const held = chosen(id, above);
          return (
            <Field key={id} label={q.question}>
              <select
                className="select"
                value={value[id] ?? ''}
                onChange={(e) => {
                  const { [id]: _was, ...rest } = value;
                  onChange(e.target.value ? { ...rest, [id]: e.target.value } : rest);
                }}
              >
                <option value="">
                  {FROM[held.from]}: {q.options[held.option]}
                </option>
                {Object.entries(q.options).map(([o, words]) => (
                  <option key={o} value={o}>
                    {words}
                  </option>
                ))}
              </select>
            </Field>
          );
        })}
    </div>
  );
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-5">
      {part('plan')}
      <details>
        <summary className="cursor-pointer py-2 font-semibold">
          Answers that move no date, but what is used
        </summary>
        <div className="mt-2">{part('material')}</div>
      </details>
    </div>
  );
}
