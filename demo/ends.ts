import type { End } from '@dialoga/core/model';

/** One station's end of an exchange. */
export const end = (
  exchange: string,
  station: string,
  order: number,
  port: string,
  calling: End['calling'],
  told: End['told'] = {},
  rest: Partial<End> = {},
): End => ({ id: `${exchange}-${station}`, order, exchange, station, port, calling, swap: 'none', told, ...rest });

/** What an end was told, as far as it was told anything. */
export const told = (rest: Partial<End['told'][string]>) => ({ address: '', tcpPort: '', unit: '', ...rest });
