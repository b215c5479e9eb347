import { type Locator, type Page } from '@playwright/test';

/** Counts what a hand does: a tap, a key command and a filled field each are one. */
export class Hand {
  presses = 0;
  constructor(readonly page: Page) {}

  async tap(at: Locator): Promise<void> {
    this.presses++;
    await at.click();
  }

  async fill(at: Locator, text: string): Promise<void> {
    this.presses++;
    await at.fill(text);
  }

  async choose(at: Locator, option: { label: string } | { index: number }): Promise<void> {
    this.presses++;
    await at.selectOption(option);
  }

  async key(key: string): Promise<void> {
    this.presses++;
    await this.page.keyboard.press(key);
  }

  /** A place of the bar. */
  async go(place: string): Promise<void> {
    await this.tap(this.page.getByRole('navigation').first().getByRole('link', { name: place, exact: true }));
  }
}
