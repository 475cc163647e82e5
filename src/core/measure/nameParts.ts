/** A name in its parts: what stands before the author, the author with the year, and the line that its keeper names. */
export interface Parts {
  words: string[];
  author: string | null;
  locality: string | null;
}

/** A name without its author, to compare it with another: `Caribena versicolor (Walckenaer, 1837)` is the same species. */
export function withoutAuthor(name: string): string {
  return written({ ...partsOf(name.trim().replace(/\s+/g, ' ')), author: null });
}

export function written({ words, author, locality }: Parts): string {
  return [...words, ...(locality === null ? [] : [`'${locality}'`]), ...(author === null ? [] : [author])].join(' ');
}

/** The author begins at the first capital, or bracket after the species, behind the genus: a subgenus stands right after it. */
export function partsOf(text: string): Parts {
  const quoted = /\s['‘’"“”](.+?)['‘’"“”](?=\s|$)/.exec(text);
  const locality = quoted?.[1] ?? null;
  const bare = quoted ? `${text.slice(0, quoted.index)}${text.slice(quoted.index + quoted[0].length)}` : text;
  const words = bare.split(' ');
  const from = words.findIndex((word, index) => {
    if (index < 2 || isCross(words[index - 1] ?? '')) return false;
    return /^\(?\p{Lu}/u.test(word) || /^\(?(de|da|von|van|du)$/.test(word);
  });
  if (from < 0) return { words, author: null, locality };
  // Written in capitals throughout, nothing of it is an author.
  const isShouted = words[1] !== undefined && /^[A-Z]{2,}$/.test(words[1]);
  if (isShouted) return { words, author: null, locality };
  return { words: words.slice(0, from), author: words.slice(from).join(' '), locality };
}

export const isCross = (word: string) => word === '×' || word === 'x' || word === 'X';
