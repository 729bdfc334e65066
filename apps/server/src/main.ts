import 'reflect-metadata';
import { configFrom } from './config.js';
import { createApp } from './create-app.js';
import { ProjectsService } from './projects/projects.service.js';

const config = configFrom(process.env);
const app = await createApp(config);
await app.get(ProjectsService).loadDemoIfEmpty();
await app.listen(config.port, config.host);
process.send?.({ listening: config.port });
// Whoever started this process and is gone cannot end it any more.
process.on('disconnect', () => void app.close().finally(() => process.exit()));
