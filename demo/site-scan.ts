const HEADINGS = ['Hardware address', 'IP address', 'Name', 'Type', 'Order code', 'Firmware', 'Telemetry address'];

/** What a laptop on Plant LAN and Quay LAN found on the first day: twelve devices, five things about them to decide. */
export function siteScan(): string {
  const rows = [
    ['0B', '10.48.10.11', 'PlantCtl', 'Rack controller', 'CP-400', '', ''],
    ['0C', '10.48.10.12', 'SkidCtl', 'Compact controller', '', '', ''],
    ['05', '10.48.10.5', 'ControlRoom', 'Workstation', '', '', ''],
    // The two names have each other's address.
    ['28', '10.48.10.45', 'quay-link', 'Coupler', '', '', ''],
    ['2D', '10.48.10.40', 'evap-head', 'Remote I/O head', 'HD-2', '', ''],
    // Another revision than was ordered.
    ['1E', '10.48.10.30', 'MeterHub', 'Memory gateway', 'MG-30', '1.8', ''],
    // The address of another job.
    ['1F', '192.168.20.31', '-', 'Telemetry unit', '', '', '31'],
    // As it came out of its box.
    ['46', '0.0.0.0', '-', 'Router', '', '', ''],
    ['5A', '10.48.10.90', 'AisleSim', 'Simulator', '', '', ''],
    ['C8', '10.48.10.200', 'ServiceLaptop', 'Workstation', '', '', ''],
    ['15', '172.19.4.21', 'dock-ctl', 'Small controller', '', '', ''],
    // Nobody planned it.
    ['85', '10.48.10.133', 'label-press', 'Label printer', '', '', ''],
  ];
  const all = rows.map(([last, ...cells]) => [`02:00:5E:10:00:${last}`, ...cells]);
  return [HEADINGS, ...all].map((cells) => `${cells.join(';')}\n`).join('');
}
