import { type Response } from 'express';

export const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');

/** A page without the interface: for who is not in yet, and for where nothing can be opened. @param body HTML */
export const plainPage = (
  res: Response,
  language: string,
  title: string,
  body: string,
): string => `<!doctype html>
<html lang="${language}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escaped(title)}</title>
<style nonce="${res.locals.nonce ?? ''}">
body{font:18px/1.5 sans-serif;max-width:40em;margin:2em auto;padding:0 1em;color:#111;background:#fff}
button,input{display:block;font:inherit;min-height:48px;margin:.5em 0 1em;padding:0 1em;box-sizing:border-box}
input{width:100%}button{font-weight:bold}
</style></head><body><main>${body}</main></body></html>`;
