import type { Page } from '@playwright/test';
import { expect, expectDemo, expectStored, test } from './app';
import { pick, picker } from './picking';

const hops = (page: Page) => page.getByRole('grid', { name: 'Hops' });
const texts = (page: Page) => page.getByRole('grid', { name: 'Texts' });

test('from the laptop to the controller on the bus: the path, the text, what is drawn in, and taken out again', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/stations`);
  await expect(page.getByRole('link', { name: /^Findings: \d/ })).toBeVisible();
  // Two keys and a name, from anywhere.
  await page.keyboard.press('Control+K');
  await page.keyboard.type('route to defrostc');
  await page.getByRole('option', { name: 'Route to DefrostCtl' }).waitFor();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'ServiceLaptop → DefrostCtl' })).toBeVisible();
  await expect(hops(page).getByRole('row', { name: /BusBridge passes diagnostics/ })).toContainText('yes');
  await expect(page.getByText('Plant LAN > 10.48.10.70 / Defrost bus > 9')).toBeVisible();
  await page.goto(`${app.url}/p/${project}/routes/route-defrost`);
  const helpers = page.getByRole('grid', { name: 'Placeholder stations' });
  await expect(helpers.getByRole('row', { name: /BusBridge/ })).toContainText('planned');
  // Found there, it is named until it is taken out again.
  const about = page.getByLabel('About BusBridge');
  await expect(about).toContainText('1. add BusBridge to the project of DefrostCtl, as a router at 5');
  await expect(about).toContainText('No station needs loading: only the tool reads what is added');
  await expect(about).toContainText('attach ServiceLaptop to Defrost bus itself');
  await about.getByRole('button', { name: 'It is added' }).press('Enter');
  await expect(helpers.getByRole('row', { name: /BusBridge/ })).toContainText('found');
  await expectDemo(page, 0, 0, 1);
  await about.getByRole('button', { name: 'It is removed' }).press('Enter');
  await expect(helpers.getByRole('row', { name: /BusBridge/ })).toContainText('removed');
  await expectDemo(page, 0, 0, 0);
  await expectStored(page);
});

test('the text of the control room: which hop is missing, the right text, and a slot that holds no CPU', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/routes/route-plant`);
  await expect(texts(page).getByRole('row', { name: /^typed/ })).toContainText(
    'the hop through the backplane is left out',
  );
  await expect(page.getByText('12 0B 31 30 2E 34 38 2E 31 30 2E 31 31 00 01 00')).toBeVisible();
  await texts(page).getByRole('gridcell', { name: 'Plant LAN > 10.48.10.11' }).click();
  await page.keyboard.press('Enter');
  await page.keyboard.press('End');
  await page.keyboard.type(' / rack > 1');
  await page.keyboard.press('Enter');
  await expect(texts(page).getByRole('row', { name: /^typed/ })).toContainText('slot 1 holds Ethernet, no CPU');
  await expect(hops(page)).toContainText('no: slot 1 holds Ethernet, no CPU');
  await page.goto(`${app.url}/p/${project}/routes/route-plant-trend`);
  await expect(texts(page).getByRole('row', { name: /^typed/ })).toContainText('slot 1 holds Ethernet, no CPU');
  await expectStored(page);
});

test('to the controller of the docks there is no way: why, the furthest reached, and what would make one', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/routes/route-dock`);
  await expect(page.getByRole('heading', { name: 'Closest partial route' })).toBeVisible();
  await expect(hops(page).getByRole('row', { name: /QuayLink passes program transfer/ })).toContainText(
    'no: QuayLink is a coupler',
  );
  await expect(page.getByRole('list', { name: 'What would complete the route' })).toContainText(
    'a station that passes program transfer between Plant LAN and Quay LAN',
  );
  // From the condition to what decides it.
  await hops(page)
    .getByRole('gridcell', { name: /^QuayLink passes program transfer/ })
    .click();
  await expect(page).toHaveURL(/stations\?at=station(:|%3A)quaylink/);
});

test('that the panel must not reach the skid: it does, and through what; a route made from two names', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/routes`);
  const reach = page.getByRole('grid', { name: 'Required and forbidden access' });
  await reach.getByRole('gridcell', { name: 'new, as A → B' }).click();
  await page.keyboard.type('DockPanel to SkidCtl');
  await page.keyboard.press('Enter');
  await expect(reach.getByRole('row', { name: /DockPanel must not reach SkidCtl/ })).toContainText('over Plant LAN');
  await expectDemo(page, 1, 0, 0);
  const routes = page.getByRole('grid', { name: 'Routes', exact: true });
  await routes.getByRole('gridcell', { name: 'new route, as A → B' }).click();
  await page.keyboard.type('DockPanel > Nowhere');
  await page.keyboard.press('Enter');
  await expect(page.getByText('there is no station “Nowhere”')).toBeVisible();
  await page.keyboard.press('Control+A');
  await page.keyboard.type('DockPanel > PlantCtl');
  await page.keyboard.press('Enter');
  await expect(routes.getByRole('row', { name: /DockPanel PlantCtl/ })).toContainText('over Plant LAN');
  await page.keyboard.press('Control+Z');
  await expect(routes.getByRole('row', { name: /DockPanel PlantCtl/ })).toHaveCount(0);
  await expectStored(page);
});

test('by one key: the way to the station that is shown, and between the ends of an exchange', async ({ page, app }) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/stations/defrostctl`);
  await expect(page.getByRole('heading', { name: 'DefrostCtl' })).toBeVisible();
  await page.keyboard.press('Alt+R');
  await expect(page.getByRole('heading', { name: 'ServiceLaptop → DefrostCtl' })).toBeVisible();
  await page.goto(`${app.url}/p/${project}/exchanges/panel`);
  await expect(page.getByRole('link', { name: 'PlantCtl', exact: true })).toBeVisible();
  await page.keyboard.press('Alt+R');
  await expect(page.getByRole('heading', { name: 'DockPanel → PlantCtl' })).toBeVisible();
  await expect(page.getByRole('img', { name: /^DockPanel, then PlantCtl/ })).toBeVisible();
  // Each condition on its own, on demand.
  await expect(hops(page).getByRole('row', { name: /ports enabled, addresses set, one subnet/ })).toContainText('yes');
  await page.getByLabel('each condition').press('Space');
  await expect(hops(page).getByRole('row', { name: /DockPanel and PlantCtl are in one subnet/ })).toContainText('yes');
});

test('how a type writes routes is typed as a sample; the texts of its stations follow', async ({ page, app }) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/profiles`);
  const profiles = page.getByRole('grid', { name: 'Profiles' });
  const sample = profiles.getByRole('gridcell', { name: '2,10.0.0.1,1,0' });
  await sample.click();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+A');
  await page.keyboard.type('"Plant LAN=10.0.0.1;rack=0');
  await page.keyboard.press('Enter');
  await expect(page.getByText('is not the sample route')).toBeVisible();
  await page.keyboard.type('"');
  await page.keyboard.press('Enter');
  await expect(profiles.getByRole('gridcell', { name: '"Plant LAN=10.0.0.1;rack=0"' })).toBeVisible();
  await page.goto(`${app.url}/p/${project}/routes/route-skid`);
  await expect(page.getByText('"rack=1;Plant LAN=10.48.10.12"', { exact: true }).first()).toBeVisible();
  await expect(texts(page).getByRole('row', { name: /^may be built/ })).toContainText('is not in ""');
  await expectStored(page);
});

test('a way that is asked for is kept as a route, with the port that it leaves by', async ({ page, app }) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/routes/ask?to=brinertu`);
  const asked = page.getByRole('group', { name: 'What is asked' });
  await pick(asked, 'for', 'diagnostics');
  await pick(asked, 'by', 'first adapter 10.48.10.200');
  await expect(page).toHaveURL(/port=port-servicelaptop/);
  await page.getByRole('button', { name: 'Save route' }).click();
  await expect(texts(page)).toBeVisible();
  await expect(picker(asked, 'by')).toHaveText('first adapter 10.48.10.200');
  await expectDemo(page, 0, 0, 0);
  await expectStored(page);
});

test('the pool of a tunnel: a link leads to its cell, out of sight at first; one that reaches into a subnet stops the way', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/stations/busbridge?at=port:port-busbridge:tunnel`);
  await expectDemo(page);
  const ports = page.getByRole('grid', { name: 'Ports' });
  await expect(ports).toBeFocused();
  await expect(ports.getByRole('gridcell', { name: '192.168.170.1–192.168.170.8' })).toBeInViewport({ ratio: 1 });
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+A');
  await page.keyboard.type('10.48.10.100-120');
  await page.keyboard.press('Enter');
  await expectDemo(page, 1);
  await expectStored(page);
  await page.goto(`${app.url}/p/${project}/routes/route-defrost`);
  await expect(hops(page).getByRole('row', { name: /the tunnel of BusBridge/ })).toContainText(
    'no: 10.48.10.100-120 shares',
  );
});
