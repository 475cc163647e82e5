/** Addresses that open a calendar or a sitter's sheet are secrets: what is logged of them opens nothing. */
const SECRET_PLACES = /^((?:\/api)?\/(?:calendar|sitter)\/)[^/?#]+/;

/** The address of a request as it may stand in a log. */
export const loggedUrl = (url: string): string => url.replace(SECRET_PLACES, '$1…');
