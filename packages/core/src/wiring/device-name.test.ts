import { deviceNameFault, deviceNameFor } from './device-name.js';

// [published: IEC 61158-6-10, NameOfStation] [from memory]
test.each(['port-001-abc', 'pump.port-001', '1000.1.1.1', 'port-0012', 'port-001-1234', 'evap-head', 'a.b-1.c'])(
  '%s is a name',
  (name) => {
    expect(deviceNameFault(name)).toBeNull();
  },
);

test.each([
  ['port-001', 'taken for a port'],
  ['port-001.hall', 'taken for a port'],
  ['port-001-12345', 'taken for a port'],
  ['10.48.10.45', 'shaped like an IP address'],
  ['999.1.1.1', 'shaped like an IP address'],
  ['Evap', 'not allowed'],
  ['-evap', 'begins or ends with a hyphen'],
  ['evap..head', 'is empty'],
])('%s is none: %s', (name, why) => {
  expect(deviceNameFault(name)).toContain(why);
});

test('a name is found for each station', () => {
  for (const name of ['Evap Head_2', 'port-001', '10.0.0.1', '***'])
    expect(deviceNameFault(deviceNameFor(name))).toBeNull();
});
