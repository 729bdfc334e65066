import type { Fact } from '../facts.js';

/** The columns of a list of found devices; the first heading that fits decides. */
export type FoundColumn = Fact | 'seen' | 'remark';

export const FOUND_HEADINGS: Readonly<Record<FoundColumn, RegExp>> = {
  hardware: /^(hardware|mac|physical|ethernet|hw)([\s._-]*(address|adresse|id))?$|^lladdr$/i,
  deviceName: /^((device|station|host|dns)[\s._-]*name|hostname|name|gerätename|nom)$/i,
  address: /^((ip|ipv4|internet|network)[\s._-]*)?(address|adresse|dirección)$|^ip(v4)?$/i,
  unit: /^(unit|unit (id|identifier|address)|slave( id| address)?|server address)$/i,
  node: /^(node|bus address|station (number|address)|mac id|node (id|number|address)|knoten)$/i,
  telemetry: /^(telemetry( address)?|outstation( address)?|link address)$/i,
  orderCode: /^(order|ordering|article|part|catalog(ue)?|model|product)[\s._-]*(code|number|no)?\.?$|^bestellnummer$/i,
  revision: /^(revision|rev|firmware|fw|version|ausgabestand)\.?$/i,
  slots: /^(slots|rack size|size of rack)$/i,
  type: /^(type|device|kind|description|designation|device type|typ|bezeichnung)$/i,
  seen: /^(seen|time|date|when|last seen|zeit|datum)$/i,
  remark: /^(remark|remarks|comment|note|notes|state|bemerkung)$/i,
};

export const FOUND_TITLES: Readonly<Record<FoundColumn, string>> = {
  hardware: 'Hardware address',
  deviceName: 'Device name',
  address: 'Address',
  unit: 'Unit',
  node: 'Node',
  telemetry: 'Telemetry address',
  orderCode: 'Order code',
  revision: 'Revision',
  slots: 'Slots',
  type: 'Type',
  seen: 'Seen at',
  remark: 'Remark',
};

export const FOUND_COLUMNS = Object.keys(FOUND_HEADINGS) as readonly FoundColumn[];
