/** Control characters, ends of lines and of paragraphs, halves of letters and what is no letter at all. */
const NO_LETTERS =
  // eslint-disable-next-line no-control-regex
  /[\u0000-\u001f\u007f-\u009f\u2028\u2029\ufeff\ufffe\uffff]+|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g

/** Words that any file can hold, in any script: on one line, without what only steers a screen or a machine. */
export const oneLine = (words: string): string => words.replace(NO_LETTERS, ' ')
