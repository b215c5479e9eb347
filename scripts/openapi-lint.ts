// npm run openapi: a public linter over the document that the server gives; exits with 1 on any error.
import { createConfig, lintDocument, makeDocumentFromString, BaseResolver } from '@redocly/openapi-core';
import { openApi } from '#server/base/http/openapi';

const document = makeDocumentFromString(JSON.stringify(openApi()), 'openapi.json');
const config = await createConfig({ extends: ['recommended'] });
const found = await lintDocument({ document, config, externalRefResolver: new BaseResolver() });
for (const { severity, ruleId, message, location } of found)
  console.log(`${severity} ${ruleId}: ${message} (${location[0]?.pointer ?? ''})`);
const errors = found.filter((one) => one.severity === 'error').length;
console.log(`${errors} errors, ${found.length - errors} warnings`);
process.exit(errors === 0 ? 0 : 1);
