/** Kinds of text that schemas name: whoever knows one tells it here, and what checks asks here. */
const formats = new Map<string, (text: string) => boolean>();

/** Makes a kind of text known to the schemas, under the name that `format` gives it. */
export const addFormat = (name: string, fits: (text: string) => boolean): void =>
  void formats.set(name, fits);

/** Every kind that is known by now. */
export const knownFormats = (): ReadonlyMap<string, (text: string) => boolean> => formats;
