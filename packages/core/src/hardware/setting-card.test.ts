import { plant } from '../testing/edited-plant.testing.js';
import { settingCard } from './setting-card.js';

const card = (project: ReturnType<typeof plant>, station: string) =>
  settingCard(project, project.get('station', station)!).map((l) => `${l.at} · ${l.what} ${l.value} · ${l.then}`);

test('what is set at each port, in words of its network', () => {
  const lines = card(plant(['port', 'portb', 'deviceName', 'dock'], ['port', 'portb', 'how', 'temporary']), 'sb');
  expect(lines).toEqual([
    'Ethernet, Net · IP address 10.0.0.2 · set for the moment only so far; set it for good',
    'Ethernet, Net · mask 255.255.255.0 · ',
    'Ethernet, Net · device name dock · the controller finds it by this name',
    'pl2, Line · role answers · ',
    'pl2, Line · unit 11 · ',
    'pl2, Line · rate, framing 9600 8E1 · ',
    'pl2, Line · standard RS-485 · ',
    'pn2, Bus · node 9 · ',
    'pn2, Bus · rate 500 kbit/s · ',
    'pr2, Air · sort end unit · ',
    'pr2, Air · number 2 · ',
    'pr2, Air · network id 7 · ',
  ]);
});

test('dials of modules, and the button that reads them in', () => {
  const turned = plant(['module', 'm2', 'dial', '3'], ['module', 'm2', 'dialRead', false]);
  expect(card(turned, 'sd')).toEqual([
    'slot 1, m2 · rotary switch 3 · read the rotary switch in by its button, or restart',
  ]);
});
