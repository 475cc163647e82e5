import { useState } from 'react';

/** What is typed in a field, and what is wrong with it until it is typed anew; spread into a `Field`. */
export function useTyped(first = '') {
  const [value, setValue] = useState(first);
  const [problem, setProblem] = useState<string>();
  return {
    field: {
      value,
      problem,
      onChange: (text: string) => {
        setValue(text);
        setProblem(undefined);
      },
    },
    /** Without the blanks around it; empty where nothing is typed. */
    text: value.trim(),
    isEmpty: value.trim() === '',
    refuse: setProblem,
  };
}
