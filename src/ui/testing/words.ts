/** What is left in words when something is missing, a date that nobody put into words, or two words run together. */
export const BROKEN = /undefined|null|NaN|\[object|\d{4}-\d\d-\d\d| {2}|, ,| ,|;;|: *$|^ | $|%%/;
