import type { Expectation, HelperObject, Route } from '@dialoga/core/model';

const LAN = 'Plant LAN';
const TO_PLANT = `${LAN} > 10.48.10.11`;

/** Who asks whom through what, and the texts that were typed for it. */
export const routes = (agreed: boolean): Route[] => [
  {
    id: 'route-defrost',
    order: 10,
    from: 'servicelaptop',
    to: 'defrostctl',
    port: 'port-servicelaptop',
    traffic: 'program transfer',
    stated: `${LAN} > 10.48.10.70 / Defrost bus > 9`,
    comment: 'the visit in spring',
  },
  {
    id: 'route-plant',
    order: 20,
    from: 'controlroom',
    to: 'plantctl',
    port: 'port-controlroom',
    traffic: 'requests',
    stated: agreed ? `${TO_PLANT} / rack > 0` : TO_PLANT,
    comment: 'tags of the control room',
  },
  {
    id: 'route-plant-trend',
    order: 30,
    from: 'controlroom',
    to: 'plantctl',
    port: 'port-controlroom',
    traffic: 'requests',
    stated: `${TO_PLANT} / rack > ${agreed ? 0 : 1}`,
    comment: 'the trend server on the same computer',
  },
  {
    id: 'route-skid',
    order: 40,
    from: 'plantctl',
    to: 'skidctl',
    port: 'port-plantctl',
    traffic: 'requests',
    stated: '',
    built: {
      from: 'the tag Partner_Address of the program',
      checked: true,
      permitted: { skid: { order: 10, text: '1,1,2,10.48.10.12' } },
    },
    comment: 'the partner is chosen while the program runs',
  },
  ...(agreed
    ? []
    : [
        {
          id: 'route-dock',
          order: 50,
          from: 'servicelaptop',
          to: 'dockctl',
          port: 'port-servicelaptop',
          traffic: 'program transfer' as const,
          stated: '',
        },
      ]),
];

/** BusBridge stands in the project of DefrostCtl only so that the laptop gets through. */
export const HELPERS: HelperObject[] = [
  {
    id: 'helper-busbridge',
    order: 10,
    station: 'defrostctl',
    standsFor: 'busbridge',
    route: 'route-defrost',
    drawnAs: 'router',
    address: '5',
    presence: 'planned',
    brings: 'a second network, which nothing else of that project uses',
    comment: 'for the visit in spring only',
  },
];

/** What is kept apart, and what has to get through. */
export const expectations = (agreed: boolean): Expectation[] => [
  {
    id: 'reach-brine',
    order: 10,
    from: 'controlroom',
    to: 'brinertu',
    traffic: 'requests',
    must: 'must reach',
    reason: 'the levels are read from there',
  },
  ...(agreed
    ? [
        {
          id: 'route-dock-not',
          order: 60,
          from: 'servicelaptop',
          to: 'dockctl',
          traffic: 'program transfer' as const,
          must: 'must not reach' as const,
        },
      ]
    : []),
];
