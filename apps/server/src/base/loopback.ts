import { isIPv4 } from 'node:net';

/** Whether a name can only mean this machine itself [published: RFC 6761, 6.3; RFC 5735, 3; RFC 4291, 2.5.3]. */
export const isLoopback = (name: string): boolean =>
  name === 'localhost' || name === '::1' || (isIPv4(name) && name.startsWith('127.'));
