/**
 * Why this is no name for a device of cyclic Ethernet I/O; null: it is one. Labels of lower-case letters, digits and
 * hyphens, 1 to 63 long, joined by dots, at most 240 in all; no hyphen at a label's ends; not four numbers of up to three
 * digits, like an IP address; the first label not `port-` and three digits, with or without a hyphen and five more.
 * [published: IEC 61158-6-10, NameOfStation] [from memory]
 */
export function deviceNameFault(name: string): string | null {
  if (name.length > 240) return `it has ${name.length} characters; at most 240 are allowed`;
  if (/^\d{1,3}(\.\d{1,3}){3}$/.test(name)) return 'it is shaped like an IP address';
  for (const label of name.split('.')) {
    if (label === '') return 'a part between dots is empty';
    if (label.length > 63) return `“${label.slice(0, 20)}…” has ${label.length} characters; a part has at most 63`;
    const odd = /[^a-z0-9-]/.exec(label);
    if (odd) return `“${odd[0]}” is not allowed; it takes lower-case letters, digits and hyphens`;
    if (/^-|-$/.test(label)) return `“${label}” begins or ends with a hyphen`;
  }
  const [first = ''] = name.split('.');
  if (/^port-\d{3}(-\d{5})?$/.test(first)) return `“${first}” is taken for a port, not a device`;
  return null;
}

/** The nearest legal name to a station's own: `Evap Head_2` gives `evap-head-2`. */
export function deviceNameFor(station: string): string {
  const plain = station
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .replace(/([a-z0-9])([A-Z])/g, '$1-$2')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 63)
    .replace(/-+$/, '');
  return deviceNameFault(plain) === null ? plain : `device-${plain || '1'}`.slice(0, 63).replace(/-+$/, '');
}
