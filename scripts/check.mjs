import { runCli } from './run-cli.mjs';

/** `npm run check -- FILE …`: checks project files. */
await runCli('check.js');
