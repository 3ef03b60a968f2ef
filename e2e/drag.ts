import { expect, type Locator, type Page } from '@playwright/test';

/** Picks up a handle by the keyboard and carries it one place down: on a busy machine a key may come before its listener does. */
export async function carryDown(page: Page, handle: Locator, name: string): Promise<void> {
  const over = (place: number) => page.locator('[id^=DndLiveRegion]').filter({ hasText: `${name} is over place ${place}` });
  await handle.focus();
  await page.keyboard.press('Space');
  await expect(over(1)).toBeAttached();
  await expect(async () => {
    await page.keyboard.press('ArrowDown');
    await expect(over(2)).toBeAttached({ timeout: 3000 });
  }).toPass();
  await page.keyboard.press('Space');
}
