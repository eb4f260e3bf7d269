import type { Page } from '@playwright/test';

/** The smallest letters drawn on a map, topics and phrases alike, in screen pixels. */
export const smallestLetters = (page: Page): Promise<number> =>
  page.getByTestId('canvas').evaluate((canvas) => {
    const letters = [...canvas.querySelectorAll('[data-topic] text, [data-link] text')];
    return Math.min(
      ...letters.map((text) => {
        const { a } = (text as SVGTextElement).getScreenCTM()!;
        return parseFloat(getComputedStyle(text).fontSize) * a;
      }),
    );
  });
