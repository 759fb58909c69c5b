/** For readers of the page only. Its parent must be positioned: else it stands at the end of the document and makes it longer. */
export const unseen = {
  position: 'absolute',
  clipPath: 'inset(50%)',
  width: 1,
  height: 1,
  overflow: 'hidden',
  whiteSpace: 'nowrap',
} as const;
