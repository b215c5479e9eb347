import { type Response } from 'express';
import { escaped, plainPage } from '#server/base/http/plain-page';
import { textsIn } from '#words/place';
import { type Language } from '#words/reader';
import { pairPage as english } from '#words/en/places/pair-page';

/** What a device that is not known sees: a form for the code, and how it works without a network too. */
export function pairPage(
  res: Response,
  language: Language,
  { code, name = '', wrong = '' }: { code: string; name?: string; wrong?: string },
): string {
  const texts = textsIn(english, language);
  const body = `
<h1>${texts.welcome}</h1>
<p>${texts.notKnown}</p>
${wrong && `<p role="alert"><b>${escaped(wrong)}</b></p>`}
<form method="post" action="/pair">
<label>${texts.code}<input name="code" value="${escaped(code)}" autocomplete="off" autocapitalize="characters" required maxlength="20"></label>
<label>${texts.name}<input name="name" value="${escaped(name)}" placeholder="${texts.phoneInTheTunnel}" required maxlength="60"></label>
<button type="submit">${texts.pair}</button></form>
<h2>${texts.withoutANetwork}</h2>
<p>${texts.trust} <a href="/authority.crt">${texts.fetchTheAuthority}</a>${texts.installIt}</p>`;
  return plainPage(res, language, texts.title, body);
}
