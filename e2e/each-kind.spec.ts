import type { Page } from '@playwright/test';
import { expect, expectTally, test } from './app';
import {
  beginExchange,
  beginProject,
  openStation,
  typeBelow,
  typeField,
  typeLane,
  typeRow,
  typeStations,
} from './typing';

/** What is typed in correctly has no finding at all, and each lane of each exchange agrees. */
async function expectRight(page: Page, lanes: number): Promise<void> {
  await expectTally(page, 0, 0);
  await page.getByRole('link', { name: 'Exchanges', exact: true }).press('Enter');
  const words = lanes === 1 ? '1 of 1 lane agreed' : `${lanes} of ${lanes} lanes agreed`;
  await expect(page.getByRole('main')).toContainText(words);
  await expect(page.getByRole('main')).not.toContainText('unchecked');
}

/** What becomes of it when the link is lost, and by which lane its source sees that it stands. */
async function decideLoss(page: Page, watchedBy: string): Promise<void> {
  await page.getByRole('button', { name: 'How it runs' }).press('Enter');
  await typeField(page, 'On a lost link the sinks', 'go to zero');
  await typeField(page, 'The source’s program', 'is told by a status');
  await typeField(page, 'When it is back, outputs', 'wait for a release');
  await typeField(page, 'Heartbeat or status', watchedBy);
}

test('typed correctly from nothing: one variable to two takers', async ({ page, app }) => {
  await beginProject(page, app.url, 'Shared');
  await typeStations(page, 'Press, word memory, 10.1.0.1/24', 'Kiln, word memory, .2', 'Oven, word memory, .3');
  await beginExchange(page, 'Speeds', 'shared variables', 'Press', 'Kiln');
  await typeField(page, 'Address entered at Kiln', '10.1.0.1');
  await page.getByRole('button', { name: 'Settings' }).press('Enter');
  await typeField(page, 'Another end', 'Oven');
  await typeLane(page, ['Speed', 'w', '', '%MW100', '2', 'REAL'], ['Speed', 'r', '', '%MW40', '2', 'REAL']);
  await typeField(page, 'Station of the right page', 'Oven');
  await typeField(page, 'Address entered at Oven', '10.1.0.1');
  await decideLoss(page, 'Speed');
  await expectRight(page, 1);
});

test('typed correctly from nothing: a coupler with a slot each way', async ({ page, app }) => {
  await beginProject(page, app.url, 'Coupled');
  await typeStations(
    page,
    'Press, word memory, 10.1.0.1/24',
    'Kiln, word memory, 10.1.8.1/24',
    'Link, coupler, 10.1.0.9, 10.1.8.9',
  );
  await openStation(page, 'Link');
  await typeRow(page, 'Ports', 'Side A', { 'Device name': 'link-a' });
  await typeRow(page, 'Ports', 'Side B', { 'Device name': 'link-b' });
  await beginExchange(page, 'Doors', 'coupler area', 'Press', 'Kiln');
  await typeField(page, 'Device name entered at Press', 'link-a');
  await typeField(page, 'Device name entered at Kiln', 'link-b');
  await typeLane(page, ['Open', 'w', '', '%QB0', '4', 'BYTE x4'], ['Open', 'r', '', '%IB10', '4', 'BYTE x4']);
  await typeLane(page, ['Shut', 'r', '', '%IB0', '2', 'BYTE x2'], ['Shut', 'w', '', '%QB10', '2', 'BYTE x2']);
  for (const [lane, slot] of ['1', '2'].entries()) {
    await typeBelow(page, lane, 1, slot);
    await typeBelow(page, lane, 8, slot);
  }
  await decideLoss(page, 'Shut');
  await expectRight(page, 2);
});

test('typed correctly from nothing: a panel that shows one value and sets another', async ({ page, app }) => {
  await beginProject(page, app.url, 'Shown');
  await typeStations(page, 'Press, word memory, 10.1.0.1/24', 'Panel, operator panel, 10.1.0.2');
  await openStation(page, 'Press');
  await typeRow(page, 'Areas', 'Memory', { 'Priority on conflict': 'the panel' });
  await page.getByRole('link', { name: 'Tags', exact: true }).press('Enter');
  await page
    .getByRole('gridcell', { name: /Panel$/ })
    .first()
    .click();
  await typeRow(page, 'Tags of Panel', null, { Tag: 'Level' });
  await typeRow(page, 'Tags of Panel', 'Level', { Type: 'REAL', 'Refers to': '%MW100', Access: 'read' });
  await typeRow(page, 'Tags of Panel', null, { Tag: 'Limit' });
  await typeRow(page, 'Tags of Panel', 'Limit', { Type: 'INT', 'Refers to': '%MW102', Access: 'read and set' });
  await beginExchange(page, 'Screens', 'tag map', 'Panel', 'Press');
  await typeField(page, 'Address entered at Panel', '10.1.0.1');
  await typeLane(page, ['Level', 'r', '', 'Level', '2', 'REAL'], ['Level', 'w', '', '%MW100', '2', 'REAL']);
  await typeLane(page, ['Limit', 'b', '', 'Limit', '1', 'INT'], ['Limit', 'b', '', '%MW102', '1', 'INT']);
  await typeBelow(page, 0, 4, '%MW100');
  await typeBelow(page, 1, 4, '%MW102');
  await expectRight(page, 2);
});

test('typed correctly from nothing: a remote rack and what its owner says of it', async ({ page, app }) => {
  await beginProject(page, app.url, 'Rack');
  await typeStations(page, 'Press, word memory, 10.1.0.1/24', 'Head, remote head, 10.1.0.2');
  await openStation(page, 'Head');
  await typeRow(page, 'Ports', 'Ethernet', { 'Device name': 'head-1' });
  await page.getByRole('button', { name: /^Add a rack/ }).press('Enter');
  const slots = page.getByRole('grid', { name: 'Slots of Rack' });
  for (const [slot, name] of ['Head', 'Digital input', 'Digital output'].entries()) {
    await slots.locator(`[data-id="new ${slot}"] [data-column="2"]`).click();
    await page.keyboard.type(name);
    await page.keyboard.press('Enter');
  }
  await typeRow(page, 'Slots of Rack', 'Digital input', { In: '2' });
  await typeRow(page, 'Slots of Rack', 'Digital output', { Out: '2' });
  await openStation(page, 'Press');
  for (const slot of ['Head 1', 'Head 2']) await typeRow(page, 'Module assignments', null, { Module: slot });
  await typeRow(page, 'Module assignments', 'Head slot 1, Digital input', { 'Input address': '%IB0' });
  await typeRow(page, 'Module assignments', 'Head slot 2, Digital output', { 'Output address': '%QB0' });
  await beginExchange(page, 'Rack', 'remote I/O', 'Press', 'Head');
  await typeField(page, 'Device name entered at Press', 'head-1');
  await decideLoss(page, 'Digital input');
  await expectRight(page, 2);
});
