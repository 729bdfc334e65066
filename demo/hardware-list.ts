import { MODULES, RACKS } from './kestrel-quay-wiring.js';

const HEADINGS = ['Pos', 'Bestellnummer', 'Bezeichnung', 'Menge', 'Station', 'Rev'];
const STATIONS: Record<string, string> = { 'plant-rack': 'PlantCtl', 'evap-rack': 'EvapHead' };

/** What the supplier of the cabinets sent: other headings, decimal commas, and parts that are no modules. */
export function hardwareList(): string {
  const rows = RACKS.flatMap((rack) => {
    const station = STATIONS[rack.id];
    if (!station) return [];
    const modules = MODULES.filter((m) => m.rack === rack.id);
    return [
      ['', 'RL-480', 'DIN rail 480 mm', '1,0', station, ''],
      ['', 'PS-24', 'Power supply 24 V, 5 A', '1,0', station, ''],
      ...modules.map((m) => [
        String(m.slot),
        // One was ordered otherwise than planned.
        m.id === 'evap-2' ? 'DI-32' : m.orderCode,
        `${m.kind}, ${m.name}`,
        '1,0',
        station,
        m.found?.revision ?? '1.0',
      ]),
      ['', 'CB-2', 'Patch cable 2 m', '3,0', station, ''],
    ];
  });
  return [HEADINGS, ...rows].map((cells) => `${cells.map(quoted).join(';')}\n`).join('');
}

const quoted = (cell: string): string => (/[;"]/.test(cell) ? `"${cell.replaceAll('"', '""')}"` : cell);
