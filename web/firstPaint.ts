import Beasties from 'beasties';
import type { Plugin, Rolldown } from 'vite';

/** Rules that the page as it was built does not match, but may once its first script has run: colours are chosen by it. */
const CHOSEN_LATER = [/data-theme/];

/** Reads the styles it looks into from what is being built, not from a disk. */
class FromBundle extends Beasties {
  constructor(private readonly bundle: Rolldown.OutputBundle) {
    // The page without its script is not made for anybody: no second link for those who have none.
    super({
      preload: 'body',
      inlineFonts: true,
      preloadFonts: false,
      noscriptFallback: false,
      allowRules: CHOSEN_LATER,
      logLevel: 'silent',
    });
  }

  override async getCssAsset(href: string): Promise<string | undefined> {
    const found = this.bundle[href.replace(/^\//, '')];
    return found?.type === 'asset' ? String(found.source) : undefined;
  }
}

/**
 * Has what stands in the page until its script runs be drawn at once: the styles of just that come with the page, and
 * the whole sheet is asked for behind it.
 */
export const paintsEarly = (): Plugin => ({
  name: 'paints-early',
  apply: 'build',
  transformIndexHtml: {
    order: 'post',
    handler: async (html, { bundle = {} }) =>
      (await new FromBundle(bundle).process(html)).replace(/<style(?! nonce)/g, '<style nonce="__NONCE__"'),
  },
});
