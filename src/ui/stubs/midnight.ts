/**
 * The picker of days asks for the time of a zone in English without `AM`, and reads it again. Older engines write midnight as
 * 24:00 of the day that begins, which is read as the day after: outside UTC each day that was tapped became the next (seen with
 * Node 20). Imported after the picker, which puts its own writing of times in place.
 */
const written = Object.getOwnPropertyDescriptor(Date.prototype, 'toLocaleString')?.value as Date['toLocaleString'];

Date.prototype.toLocaleString = function (this: Date, ...asked: Parameters<Date['toLocaleString']>) {
  return written.apply(this, asked).replace(/ 24:(?=\d\d:\d\d$)/, ' 00:');
} as Date['toLocaleString'];
