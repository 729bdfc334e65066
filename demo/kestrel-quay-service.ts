import type { End, Exchange } from '@dialoga/core';
import { end, told } from './ends.js';

/** The engineer's tools, and the telemetry that one of them looks at. */
export const SERVICE_EXCHANGES: Exchange[] = [
  {
    ...{ id: 'brine', order: 100, name: 'Brine telemetry', kind: 'peer connection', protocol: 'dnp3' },
    ...{ transfer: 'requests', cadence: 5000, timeout: 2000 },
  },
  {
    ...{ id: 'service', order: 120, name: 'Service visits', kind: 'service link', protocol: 'service-access' },
    ...{ transfer: 'requests', cadence: null },
    comment: 'what the tools on the laptop were told',
  },
];

export const serviceEnds = (agreed: boolean): End[] => [
  end('brine', 'controlroom', 10, 'port-controlroom', 'calls', {
    'brine-brinertu': told({ address: '10.48.10.31', telemetry: '31' }),
  }),
  end('brine', 'brinertu', 20, 'port-brinertu', 'listens'),
  end('service', 'servicelaptop', 10, 'port-servicelaptop', 'calls', {
    'service-plantctl': told({ address: '10.48.10.11', slot: '0' }),
    'service-brinertu': told({ address: '10.48.10.31', telemetry: agreed ? '31' : '0' }),
    'service-defrostctl': told({ node: '9' }),
  }),
  end('service', 'plantctl', 20, 'port-plantctl', 'listens'),
  end('service', 'brinertu', 30, 'port-brinertu', 'listens'),
  end('service', 'defrostctl', 40, 'port-defrostctl-defrost-bus', 'listens'),
];
