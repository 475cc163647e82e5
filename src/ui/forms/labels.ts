/** What the fields of a form are called, for the summary of what is wrong with them: by the control of the form. */
const LABELS = new WeakMap<object, Map<string, string>>();

export function labelsOf(control: object): Map<string, string> {
  const labels = LABELS.get(control) ?? new Map<string, string>();
  LABELS.set(control, labels);
  return labels;
}
