import { Choices } from '../kit/Choices';
import { Heading } from './Words';

interface Props<Value extends string> {
  title: string;
  /** What is chosen, for those who hear the screen. */
  label: string;
  choices: Record<Value, string>;
  value: Value;
  onChange: (value: Value) => void;
}

/** One thing that is set one way or another. */
export function Setting<Value extends string>({ title, label, choices, value, onChange }: Props<Value>) {
  const values = Object.keys(choices) as Value[];
  return (
    <>
      <Heading>{title}</Heading>
      <Choices
        label={label}
        choices={values.map((each) => ({ value: each, title: choices[each] }))}
        value={value}
        onChange={onChange}
      />
    </>
  );
}
