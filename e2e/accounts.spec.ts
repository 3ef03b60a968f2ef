import { AxeBuilder } from '@axe-core/playwright';
import { closeSync, openSync, readdirSync, statSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { Server } from './server.ts';
import { atTheMoment, expect, type Page, test } from './test.ts';

const server = new Server();
test.beforeEach(async () => {
  await server.start({ house: true });
});
test.afterEach(() => server.remove());

const PASSWORD = 'four plain words in line';
const PHONE = { width: 390, height: 844 };

async function setUp(page: Page): Promise<void> {
  await page.goto(server.address);
  await page.getByLabel('Code on the console').fill(server.firstCode);
  await page.getByLabel('Name of the studio').fill('North hall');
  await page.getByLabel('Your name').fill('Ada Finch');
  await page.getByLabel('Your initials').fill('af');
  await page.getByLabel('Sign-in name').fill('ada');
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Make the studio' }).click();
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText('Set up the studio');
}

async function signIn(page: Page, password = PASSWORD, name = 'ada'): Promise<void> {
  await page.getByLabel('Sign-in name').fill(name);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
}

async function addTrainee(page: Page, name: string): Promise<void> {
  await page.goto(`${server.address}/trainees/new`);
  await page.getByLabel('Name').fill(name);
  await page.getByLabel(/^Birth year/).fill('1990');
  await page.getByLabel(/^Stature/).fill('172');
  await page.getByLabel(/^Mass/).fill('68');
}

async function axeFindsNothing(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map((v) => `${v.help}: ${v.nodes.map((n) => n.html.slice(0, 120)).join(' | ')}`)).toEqual([]);
}

test('a studio is set up, a coach comes in on an invitation, and leaves; nobody else gets in', async ({ page, browser }) => {
  await page.goto(server.address);
  await axeFindsNothing(page);
  await setUp(page);
  await page.getByRole('button', { name: /settings and sign out/ }).click();
  await page.getByRole('link', { name: /^People/ }).click();
  await page.getByLabel('Invite somebody as').selectOption('assistant');
  await page.getByRole('button', { name: 'Make an invitation' }).click();
  const code = (await page.getByText(/^[A-Z0-9]{4}(-[A-Z0-9]{4}){3}$/).textContent()) ?? '';
  await axeFindsNothing(page);

  const context = await atTheMoment(await browser.newContext({ viewport: PHONE, hasTouch: true, serviceWorkers: 'block' }));
  const phone = await context.newPage();
  await phone.goto(server.address);
  await phone.getByRole('button', { name: 'I have an invitation' }).tap();
  await phone.getByLabel('Code').fill(code);
  await phone.getByLabel('Your name').fill('Cy Lark');
  await phone.getByLabel('Your initials').fill('cl');
  await phone.getByLabel('Sign-in name').fill('cy.lark');
  await phone.getByLabel('New password').fill(PASSWORD);
  await axeFindsNothing(phone);
  await phone.getByRole('button', { name: 'Make my account' }).tap();
  await expect(phone.getByRole('button', { name: /^Cy Lark, North hall/ })).toBeVisible();
  // An assistant's menu leads to no people, and the address does not either.
  await phone.goto(`${server.address}/people`);
  await expect(phone.getByText('Only an owner of this studio may do this.')).toBeVisible();

  // Out at once, in the middle of work.
  await page.reload();
  await page.getByRole('listitem').filter({ hasText: 'Cy Lark' }).getByRole('button', { name: 'Take out…' }).click();
  await page.getByRole('button', { name: 'Take Cy Lark out' }).click();
  await expect(page.getByRole('button', { name: 'Take out…' })).toHaveCount(0);
  await phone.goto(`${server.address}/caseload`);
  await expect(phone.getByRole('heading', { name: 'You are in no studio' })).toBeVisible();
  await context.close();

  const stranger = await page.request.fetch(`${server.address}/api/trainees`, { headers: { cookie: '' } });
  expect(stranger.status()).toBe(401);
});

test('signing out takes everything off the device; unsent drafts are asked about', async ({ page }) => {
  await setUp(page);
  await addTrainee(page, 'Half typed');
  await page.getByRole('button', { name: /settings and sign out/ }).click();
  await page.getByRole('button', { name: /^Sign out, and take/ }).click();
  await expect(page.getByText(/^1 entry on this device has not reached the server/)).toBeVisible();
  await page.getByRole('button', { name: 'Sign out and lose it' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  const left = await page.evaluate(() => Object.entries(localStorage).map(([key, value]) => `${key}: ${String(value)}`));
  expect(left.filter((line) => /draft|me:|ada|Half/i.test(line))).toEqual([]);
  await signIn(page, 'not the password');
  await expect(page.getByText('This name and password do not go together.')).toBeVisible();
  await signIn(page);
  await expect(page.getByRole('button', { name: /^Ada Finch, North hall/ })).toBeVisible();
});

test('whoever is signed out in the middle of typing loses nothing, signs in again on the spot, and saves', async ({ page, browser }) => {
  await setUp(page);
  await addTrainee(page, 'Typed before');
  // From another device, everywhere else is signed out.
  const context = await atTheMoment(await browser.newContext({ serviceWorkers: 'block' }));
  const elsewhere = await context.newPage();
  await elsewhere.goto(server.address);
  await signIn(elsewhere);
  await expect(elsewhere.getByRole('button', { name: /^Ada Finch/ })).toBeVisible();
  await elsewhere.goto(`${server.address}/settings`);
  await elsewhere.getByRole('button', { name: 'Sign out', exact: true }).first().click();
  await context.close();

  const save = page.getByRole('button', { name: 'Save and ask the screening' });
  await save.click();
  await expect(page.getByText('You are signed out.')).toBeVisible();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Typed before');
  await page.getByRole('button', { name: 'Sign in again' }).click();
  await signIn(page);
  await expect(page.getByText('You are signed out.')).toHaveCount(0);
  await save.click();
  await expect(page).toHaveURL(/\/screening$/);
});

test('what one account typed and did not send is shown to no other on the same device, whatever is reloaded', async ({ page, context }) => {
  await setUp(page);
  await page.goto(`${server.address}/people`);
  await page.getByRole('button', { name: 'Make an invitation' }).click();
  const code = await page.getByText(/^[A-Z0-9]{4}(-[A-Z0-9]{4}){3}$/).textContent();
  await server.send('POST', '/api/join', { code, name: 'Bo Wren', initials: 'bw', signInName: 'bo.wren', password: PASSWORD });
  await addTrainee(page, 'Half typed');
  await context.clearCookies();
  await page.reload();
  await signIn(page, PASSWORD, 'bo.wren');
  const asked = page.getByRole('heading', { name: 'This device holds work of Ada Finch' });
  await expect(asked).toBeVisible();
  await page.reload();
  await expect(asked).toBeVisible();
  await page.getByRole('button', { name: /^Sign out, so that/ }).click();
  await signIn(page);
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Half typed');
});

test('a damaged file is said to be so, and the newest copy brings the studio back', async ({ page }) => {
  await setUp(page);
  await addTrainee(page, 'Kept safe');
  await page.getByRole('button', { name: 'Save and ask the screening' }).click();
  await expect(page).toHaveURL(/\/screening$/);
  await page.goto(`${server.address}/settings`);
  await page.getByRole('button', { name: 'Make a copy now' }).click();
  await expect(page.getByText('Last good copy just now')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Make a copy now' })).toBeEnabled();
  await axeFindsNothing(page);
  await server.stop();
  const studios = join(server.dataFolder, 'studios');
  const [file = ''] = readdirSync(studios).filter((f) => f.endsWith('.sqlite'));
  spoil(join(studios, file));
  await server.start({ house: true });
  await page.goto(server.address);
  await expect(page.getByRole('heading', { name: 'The studio’s file is damaged' })).toBeVisible();
  await axeFindsNothing(page);
  await page
    .getByRole('button', { name: /^Bring back/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByRole('button', { name: /^Ada Finch, North hall/ })).toBeVisible();
  await page.goto(`${server.address}/caseload`);
  await expect(page.getByText('Kept safe').first()).toBeVisible();
});

/** Overwrites the middle of a file, as a failing disk might. */
function spoil(file: string): void {
  const { size } = statSync(file);
  const open = openSync(file, 'r+');
  writeSync(open, Buffer.alloc(Math.floor(size / 2), 0x5a), 0, Math.floor(size / 2), Math.floor(size / 4));
  closeSync(open);
}

test('a trainee goes into the archive, comes back, and is erased by whoever types the name', async ({ page }) => {
  await setUp(page);
  await addTrainee(page, 'Quillon Vantage');
  await page.getByRole('button', { name: 'Save and ask the screening' }).click();
  await expect(page).toHaveURL(/\/screening$/);
  await page.getByRole('link', { name: 'Profile' }).click();
  await page.getByRole('button', { name: 'Put into the archive' }).click();
  await expect(page.getByRole('link', { name: 'In the archive' })).toBeVisible();
  await page.getByRole('link', { name: 'Caseload' }).click();
  await expect(page.getByText('No trainees yet')).toBeVisible();
  await page.getByText(/^Archive/).click();
  await page.getByRole('link', { name: 'Quillon Vantage' }).click();
  await page.getByRole('button', { name: 'Bring back from the archive' }).click();
  await expect(page.getByRole('link', { name: 'In the archive' })).toHaveCount(0);

  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Take everything out (ZIP)' }).click();
  expect((await download).suggestedFilename()).toMatch(/^records-\d{4}-\d\d-\d\d\.zip$/);

  await page.getByRole('button', { name: 'Erase…' }).click();
  const erase = page.getByRole('button', { name: 'Erase for good' });
  await page.getByLabel(/^Type the name/).fill('Quillon');
  await page.getByLabel(/^Why/).fill('asked for it');
  await expect(erase).toBeDisabled();
  await page.getByLabel(/^Type the name/).fill('Quillon Vantage');
  await axeFindsNothing(page);
  await erase.click();
  await expect(page).toHaveURL(/\/caseload$/);
  await expect(page.getByText('No trainees yet')).toBeVisible();
  await page.goto(`${server.address}/people`);
  await expect(page.getByText('erased somebody')).toBeVisible();
  await expect(page.getByText('Quillon')).toHaveCount(0);
});
