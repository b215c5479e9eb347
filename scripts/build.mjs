// Builds the interface when a source file has changed since the last build.
import { build } from './prepare.mjs';

await build();
