import { type Page } from '@playwright/test';

/** The keyboard alone: what is typed does not count as a press; the way there does. */
export class Keyboard {
  presses = 0;

  constructor(private readonly page: Page) {}

  async press(key: string): Promise<void> {
    this.presses++;
    await this.page.keyboard.press(key);
  }

  async type(text: string): Promise<void> {
    await this.page.keyboard.type(text);
  }

  /** Tabs on until something of this name has the focus. @throws Error after so many tabs */
  async tabInto(label: RegExp, most = 25): Promise<void> {
    for (let i = 0; i < most; i++) {
      await this.press('Tab');
      const name = await this.page.evaluate(() => {
        const at = document.activeElement as HTMLInputElement;
        return (
          at.getAttribute('aria-label') ?? at.labels?.[0]?.textContent?.trim() ?? at.textContent?.trim() ?? ''
        );
      });
      if (label.test(name)) return;
    }
    throw new Error(`Tab never reached ${String(label)}`);
  }

  /** Empties the field that has the focus and types anew. */
  async retype(text: string): Promise<void> {
    await this.press('Control+a');
    await this.type(text);
  }
}
