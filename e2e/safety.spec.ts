import type { CaseloadRow, FloorRunReply, ScreeningsReply } from '@myokinet/core/contracts';
import type { Page } from '@playwright/test';
import { Server } from './server.ts';
import { expect, test } from './test.ts';

const server = new Server();
let crew: readonly CaseloadRow[];
test.beforeAll(async () => {
  await server.start({ demo: true });
  crew = await server.api<readonly CaseloadRow[]>('/api/caseload');
});
test.afterAll(() => server.remove());

const idOf = (name: string) => crew.find((r) => r.name.startsWith(name))?.id ?? '';

test.describe('by touch, on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('one tap on the floor: whom to call, all work ended, locked until a doctor’s word', async ({ page }) => {
    await page.goto(`${server.address}/library/cautions`);
    await page.getByLabel('Emergency number').fill('112');
    await page.getByLabel(/Where the studio is/).fill('Quay 4');
    await page.getByRole('button', { name: 'Save' }).tap();
    await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
    await page.goto(`${server.address}/trainees/${idOf('Tamsin')}/floor`);
    await page.getByRole('button', { name: 'None of these' }).tap();
    await page.getByRole('button', { name: /^Start/ }).tap();
    await expect(page.getByRole('button', { name: 'Start the set' })).toBeVisible();
    const floor = page.url();
    await page.getByRole('button', { name: 'Start the set' }).tap();
    // Three seconds lead in; then it counts, and this tab remembers how far it is.
    await expect
      .poll(() =>
        page.evaluate(() =>
          Object.entries(sessionStorage).some(([key, value]) => /underWay/.test(key) && /"amount":[1-9]/.test(String(value))),
        ),
      )
      .toBe(true);
    await page.getByRole('button', { name: /^Emergency/ }).tap();
    await expect(page.getByRole('heading', { name: 'Call emergency care now' })).toBeVisible();
    await expect(page.getByRole('link', { name: '112' })).toHaveAttribute('href', 'tel:112');
    await expect(page.getByText('Quay 4')).toBeVisible();
    await expect(page.getByRole('status')).toContainText('On record');
    await page.getByRole('button', { name: /^Pressure in the chest/ }).tap();
    await page.getByRole('button', { name: 'Put on record what was seen' }).tap();
    await expect(page.getByRole('button', { name: 'On record' })).toBeVisible();
    await page.reload();
    await expect(page.getByRole('button', { name: /^Pressure in the chest/, pressed: true })).toBeVisible();
    // What was done of the set under way is kept.
    const run = await server.api<FloorRunReply>(`/api/floor/${floor.split('/').at(-1)?.split('?')[0]}`);
    expect(run.events.filter((e) => e.kind === 'set')).toHaveLength(1);
    await page.goto(floor);
    await expect(page.getByRole('heading', { name: 'Stop' })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Start the set' })).toHaveCount(0);
    await page.goto(`${server.address}/trainees/${idOf('Tamsin')}/screening`);
    await expect(page.getByText(/Because: pressure in the chest/)).toBeVisible();
  });

  test('without a network the tap still says whom to call, and goes on record later', async ({ page, context }) => {
    await page.goto(`${server.address}/trainees/${idOf('Odo')}/floor`);
    await page.getByRole('button', { name: 'None of these' }).tap();
    await page.getByRole('button', { name: /^Start/ }).tap();
    await expect(page.getByRole('button', { name: 'Start the set' })).toBeVisible();
    // The page itself comes with the program; here only the server is gone.
    await context.route('**/api/**', (route) => route.abort('internetdisconnected'));
    await page.getByRole('button', { name: /^Emergency/ }).tap();
    await expect(page.getByRole('heading', { name: 'Call emergency care now' })).toBeVisible();
    await expect(page.getByRole('status')).toContainText('Kept on this device');
    await page.goBack();
    await expect(page.getByRole('heading', { name: 'Stop' })).toBeVisible();
    await context.unroute('**/api/**');
    await page.goto(`${server.address}/`);
    await expect
      .poll(async () => (await server.api<readonly object[]>(`/api/trainees/${idOf('Odo')}/emergencies`)).length, { timeout: 30_000 })
      .toBe(1);
  });
});

test('a lasting pain with a professional’s word is no alarm up to what is usual; the screening beside it can be taken back', async ({
  page,
}) => {
  const at = `${server.address}/trainees/${idOf('Ines')}`;
  const stops = async (strength: string) => {
    await page.goto(`${at}/record`);
    await page.getByRole('button', { name: 'Report a symptom' }).click();
    await page.getByLabel('0–10', { exact: true }).selectOption(strength);
    await page.getByLabel('Side', { exact: true }).selectOption('left');
    await page.getByLabel('Place', { exact: true }).selectOption('wrist');
    return page.getByText(/stop and step back\. This withdraws/);
  };
  await expect(await stops('3')).toBeVisible();
  await page.goto(`${at}/screening`);
  await page.getByRole('button', { name: 'A lasting pain was looked at…' }).click();
  await page.getByLabel('Place', { exact: true }).selectOption('wrist');
  await page.getByLabel('Usual').selectOption('3');
  await page.getByLabel('What was seen and said').fill('Known for years, may be loaded.');
  await expect(page.getByRole('button', { name: 'Put on record' })).toBeDisabled();
  await page.getByLabel('Who, by role').selectOption('physiotherapist');
  await page.getByRole('button', { name: 'Put on record' }).click();
  await expect(page.getByText(/left wrist, usually 3 of 10/)).toBeVisible();
  await expect(await stops('3')).toHaveCount(0);
  await expect(await stops('5')).toBeVisible();
  await page.goto(`${at}/screening`);
  const current = async () => (await server.api<ScreeningsReply>(`/api/trainees/${idOf('Ines')}/screenings`)).current?.id;
  const before = await current();
  await page.getByRole('button', { name: 'Take this screening back…' }).click();
  await page.getByLabel(/Why does this screening not count/).fill('of somebody else');
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect.poll(current).not.toBe(before);
});

test('a press by mistake is taken back within the minute, with a reason', async ({ page }) => {
  await page.goto(`${server.address}/trainees/${idOf('Ines')}`);
  await page.getByRole('button', { name: /^Emergency/ }).click();
  await page.getByRole('button', { name: /^Pressed by mistake/ }).click();
  await page.getByLabel('Why was it a mistake?').fill('wrong button');
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByRole('status')).toContainText('Taken back as a mistake');
  await page.getByRole('link', { name: /^To the page of/ }).click();
  await expect(page.getByRole('list', { name: 'Cautions' })).toHaveCount(0);
});

async function answer(page: Page, question: RegExp, choice: string): Promise<void> {
  await page.getByRole('radiogroup', { name: question }).getByRole('radio', { name: choice, exact: true }).check();
}

test('a lock closes checks and drills; a form answered again opens nothing; a doctor’s word opens what it permits', async ({ page }) => {
  const at = `${server.address}/trainees/${idOf('Jory')}`;
  await page.goto(`${at}/screening`);
  await answer(page, /Has a doctor told you/, 'yes');
  await page.getByRole('button', { name: 'Save the screening' }).click();
  await expect(page.getByText(/Excludes \d\d drills and every rung of Push-up/)).toBeVisible();
  await page.goto(`${at}/checks/new?scope=all`);
  await expect(page.getByRole('region', { name: 'Checks that are closed' })).toContainText('Plank hold');
  await expect(page.getByLabel('Plank hold, trial 1')).toHaveCount(0);
  await expect(page.getByLabel('Shoulder flexion, left, trial 1')).toBeVisible();

  await page.goto(`${at}/screening`);
  await answer(page, /Has a doctor told you/, 'no');
  await page.getByRole('button', { name: 'Save the screening' }).click();
  await expect(page.getByText(/a no since needs a professional’s word/)).toBeVisible();
  await answer(page, /Has a doctor told you/, 'yes');
  await page.getByRole('button', { name: 'Save the screening' }).click();
  await page.getByRole('button', { name: 'A licensed professional was consulted…' }).click();
  await page.getByLabel('Medical hold').check();
  await expect(page.getByLabel('Who, by role').getByRole('option')).toHaveText(['choose…', 'general practitioner', 'specialist doctor']);
  await page.getByLabel('Who, by role').selectOption('general practitioner');
  await page.getByLabel('What was seen and said').fill('May train lightly, nothing overhead.');
  await page.getByLabel(/Load on one arm/).fill('30');
  await page.getByLabel(/Effort, up to/).fill('6');
  await page.getByRole('button', { name: 'Record the consultation' }).click();
  await expect(page.getByText(/up to 30% of body weight on one arm, effort up to 6; not overhead, hanging, head down/)).toBeVisible();
  await page.goto(`${at}/checks/new?scope=all`);
  await expect(page.getByRole('region', { name: 'Checks that are closed' })).toContainText('Free packed hang');
});

test('before a session: a fever and an unreported pain keep it shut; blood pressure and a guardian’s consent are on record', async ({
  page,
}) => {
  await page.goto(`${server.address}/trainees/${idOf('Ines')}/floor`);
  const start = page.getByRole('button', { name: /^(Start|Run it)/ });
  await expect(start).toBeDisabled();
  await page.getByLabel('Does anything hurt today?').check();
  await page.getByRole('button', { name: 'That is how it is' }).click();
  await expect(page.getByText('Report what hurts, so that the session knows.')).toBeVisible();
  await expect(start).toBeDisabled();
  await page.getByRole('button', { name: 'Report a symptom' }).click();
  await page.getByRole('button', { name: 'Record the symptom' }).click();
  await expect(start).toBeEnabled();

  await page.getByRole('button', { name: 'Ask again' }).click();
  await page.getByLabel('Fever today, or in the last 48 hours?').check();
  await page.getByRole('button', { name: 'That is how it is' }).click();
  await expect(page.getByText(/No session: 48 hours without fever first/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/No session: 48 hours without fever first/)).toBeVisible();
  await expect(start).toBeDisabled();

  await page.goto(`${server.address}/trainees/${idOf('Ines')}/screening`);
  const pressure = page.getByRole('region', { name: 'Blood pressure' });
  await pressure.getByLabel('Upper (mmHg)').fill('90');
  await pressure.getByLabel('Lower (mmHg)').fill('120');
  await pressure.getByRole('button', { name: 'Record the reading' }).click();
  await expect(pressure.getByRole('alert')).toContainText('The lower figure lies below the upper one.');
  await pressure.getByLabel('Upper (mmHg)').fill('152');
  await pressure.getByLabel('Lower (mmHg)').fill('88');
  await pressure.getByRole('button', { name: 'Record the reading' }).click();
  await expect(pressure.getByText(/152\/88 mmHg/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'What the answers mean' })).toContainText('152/88 mmHg');

  await page.goto(`${server.address}/trainees/${idOf('Anselm')}/screening`);
  const consent = page.getByRole('region', { name: 'Guardian’s consent' });
  await expect(consent).toContainText('Counts for a year.');
  await consent.getByRole('button', { name: 'They took it back' }).click();
  await expect(page.getByRole('region', { name: 'What the answers mean' })).toContainText('No guardian’s consent');
});
