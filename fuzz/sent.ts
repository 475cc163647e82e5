/** A question as it is sent. */
export interface Sent {
  name: string;
  method: string;
  path: string;
  body: string | undefined;
}
