import { inEach, moved, type SlipKind } from './slip.testing.js';

const inText = (change: (text: string) => string | null): SlipKind =>
  inEach('route', ({ stated }) => {
    const next = stated ? change(stated) : null;
    return next && next !== stated ? ['stated', next] : null;
  });

/** Texts of routes, and what has to be drawn for them, mistaken. */
export const ROUTE_SLIPS: Record<string, SlipKind> = {
  'hop left out': inText((text) => text.split(' / ').slice(0, -1).join(' / ')),
  'slot or node of the last hop': inText((text) => moved(text, 1)),
  'address of the first hop': inText((text) =>
    text.replace(/(\d+\.\d+\.\d+\.)(\d+)/, (_, net, host) => `${net}${Number(host) + 1}`),
  ),
  'another separator': inText((text) => text.replaceAll(' / ', ' ; ')),
  'a network that is not there': inText((text) => text.replace('LAN', 'LNA')),
  'helper at another address': inEach('helper', ({ address }) => ['address', moved(address, 1)]),
};
