/** Words said aloud, with what a player needs; the words themselves always stand beside it. */
export const Sound = ({ src, label }: { src: string; label: string }) => (
  // eslint-disable-next-line jsx-a11y/media-has-caption -- What is said stands beside it in writing.
  <audio controls preload="none" src={src} aria-label={label} />
);
