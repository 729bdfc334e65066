import { runCli } from './run-cli.mjs';

/** `npm run rehearse -- FILE …`: walks a project on stand-ins. */
await runCli('rehearse.js');
