import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ValidationPipe } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import compression from 'compression';
import express, { type Request, type Response } from 'express';
import helmet from 'helmet';
import { pino } from 'pino';
import { pinoHttp } from 'pino-http';
import { AppModule } from './app.module.js';
import type { Config } from './config.js';
import { bodyErrors } from './edge/body-errors.js';
import { refuseOtherEncodings } from './edge/encoding.js';
import { refuseTooDeep } from './edge/depth.js';
import { ErrorFilter } from './edge/error-filter.js';
import { fromValidation } from './edge/problems.js';

const LARGEST_JSON = '32mb';
const LARGEST_FILE = '128mb';

/** The whole server, not yet listening. */
export async function createApp(config: Config): Promise<NestExpressApplication> {
  const log = pino({ level: config.logLevel });
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(config), {
    logger: config.logLevel === 'silent' ? false : ['error', 'warn'],
    bodyParser: false,
    forceCloseConnections: true,
  });
  app.use(pinoHttp({ logger: log, quietReqLogger: true, autoLogging: config.logLevel !== 'silent' }));
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          upgradeInsecureRequests: null,
          workerSrc: ["'self'", 'blob:'],
          styleSrc: ["'self'", "'unsafe-inline'"],
        },
      },
      strictTransportSecurity: false,
    }),
  );
  // A stream of events must not wait for a buffer to fill.
  const compressed = (request: Request, response: Response) =>
    !request.path.endsWith('/events') && compression.filter(request, response);
  app.use(compression({ filter: compressed }));
  app.use(express.json({ limit: LARGEST_JSON, verify: refuseOtherEncodings }));
  app.use(refuseTooDeep);
  app.use(express.raw({ limit: LARGEST_FILE, type: 'application/octet-stream' }));
  app.use(bodyErrors);
  app.useGlobalPipes(
    new ValidationPipe({
      whitelist: true,
      forbidNonWhitelisted: true,
      transform: true,
      exceptionFactory: fromValidation,
    }),
  );
  app.useGlobalFilters(new ErrorFilter(log));
  app.enableShutdownHooks();
  const description = new DocumentBuilder().setTitle('Dialoga').setVersion('1').build();
  SwaggerModule.setup('api/docs', app, () => SwaggerModule.createDocument(app, description));
  if (config.webFolder && existsSync(config.webFolder)) servePage(app, config.webFolder);
  return app;
}

/** The built page: its files, and for every other address that is not the API's, the page itself. */
function servePage(app: NestExpressApplication, folder: string): void {
  app.use(express.static(folder, { index: false, maxAge: '1y', immutable: true, fallthrough: true }));
  app.use((request: Request, response: Response, next: () => void) => {
    if (request.method !== 'GET' || request.path.startsWith('/api')) return next();
    response.set('Cache-Control', 'no-cache').sendFile(join(folder, 'index.html'));
  });
}
