/** A job, the actions that it took practitioners in the tools that they have, and the most that it may take here. */
export interface Job {
  name: string;
  practitioner: number;
  aim: number;
}

const job = (name: string, practitioner: number, aim: number): Job => ({ name, practitioner, aim });

export const JOBS = {
  requests: job('two controllers, ten lanes from two lists', 30, 14),
  peer: job('peer connection with references, ports and a node', 15, 8),
  radio: job('radio base, repeaters and modules on rotary switches', 27, 14),
  gateway: job('memory gateway between words and bytes', 60, 30),
  rack: job('a remote rack owned from elsewhere', 65, 30),
  coupler: job('coupler with six slots, mirrored', 18, 9),
  block: job('communication module with its block of registers', 35, 17),
  simulator: job('simulator with forty points', 38, 18),
  panel: job('panel with sixty tags from a file', 40, 18),
  rows: job('SCADA rows with station text and table:number', 48, 20),
  io: job('I/O block with all four tables', 45, 20),
  telemetry: job('telemetry unit, serial first, then TCP', 32, 15),
  names: job('array exchange by name between three controllers', 28, 14),
  cyclic: job('panel on a generic cyclic connection', 16, 8),
  router: job('route through a service router to a bus node', 50, 20),
  hardware: job('hardware list of thirty rows', 45, 20),
} as const;
