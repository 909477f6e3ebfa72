/** What every form of a thing that others may change too carries: the version it was opened on. */
export function versionIn(form: FormData): number | undefined {
  const text = form.get('version');
  return typeof text === 'string' && /^[1-9]\d{0,8}$/.test(text) ? Number(text) : undefined;
}
