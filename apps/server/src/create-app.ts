import { existsSync } from 'node:fs';
import type { Server, ServerResponse } from 'node:http';
import { join } from 'node:path';
import { ValidationPipe } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import compression from 'compression';
import expressStaticGzip from 'express-static-gzip';
import express, { type ErrorRequestHandler, type Request, type Response } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { AppModule } from './app.module.js';
import type { Config } from './base/config.js';
import { bodyErrors } from './edge/body-errors.js';
import { refuseTooDeep } from './edge/depth.js';
import { refuseOtherEncodings } from './edge/encoding.js';
import { ErrorFilter } from './error-filter.js';
import { fewLargeAtOnce } from './edge/few-at-once.js';
import {
  ARRIVE_MS,
  MOST_CHANGES_BODY,
  MOST_CONNECTIONS,
  MOST_FILE_BODY,
  MOST_LARGE_CHANGES,
  MOST_LARGE_FILES,
  MOST_SMALL_BODY,
  SILENT_MS,
} from './edge/limits.js';
import { fromValidation, type ErrorBody } from './edge/problems.js';
import { requestLog } from './edge/request-log.js';
import { onlyForOwnPages, onlyUnderOwnNames } from './edge/who-may-ask.js';
import { Disk } from './disk/disk.js';
import { described, FrameworkLog } from './base/log.js';

/** The whole server, not yet listening. */
export async function createApp(config: Config, log: Logger): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(config), {
    logger: new FrameworkLog(log),
    bodyParser: false,
    forceCloseConnections: true,
  });
  boundConnections(app.getHttpServer() as Server);
  app.set('trust proxy', config.trustProxy);
  app.use(requestLog(log, log.isLevelEnabled('info')));
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
  app.use(onlyUnderOwnNames(config.allowedHosts));
  app.use(onlyForOwnPages);
  // A stream of events must not wait for a buffer to fill.
  const compressed = (request: Request, response: Response) =>
    !request.path.endsWith('/events') && compression.filter(request, response);
  app.use(compression({ filter: compressed }));
  readBodies(app);
  app.useGlobalPipes(
    new ValidationPipe({
      whitelist: true,
      forbidNonWhitelisted: true,
      transform: true,
      exceptionFactory: fromValidation,
    }),
  );
  app.useGlobalFilters(new ErrorFilter(log, app.get(Disk)));
  const description = new DocumentBuilder().setTitle('Dialoga').setVersion('1').build();
  SwaggerModule.setup('api/docs', app, () => SwaggerModule.createDocument(app, description));
  if (config.webFolder && existsSync(config.webFolder)) servePage(app, config.webFolder);
  app.use(brokenOff(log));
  return app;
}

/** Whoever sends or reads too slowly, or opens too many connections, is let go. */
function boundConnections(server: Server): void {
  server.maxConnections = MOST_CONNECTIONS;
  server.requestTimeout = ARRIVE_MS;
  server.setTimeout(SILENT_MS);
}

/** Bodies of change sets and of files as bytes, which are read elsewhere where they are large; all others are small JSON. */
function readBodies(app: NestExpressApplication): void {
  const changes = '/api/projects/:project/changes';
  app.use(
    changes,
    fewLargeAtOnce(MOST_LARGE_CHANGES),
    express.raw({ limit: MOST_CHANGES_BODY, type: 'application/json' }),
  );
  app.use('/api/imports', fewLargeAtOnce(MOST_LARGE_FILES));
  app.use('/api/imports', express.raw({ limit: MOST_FILE_BODY, type: 'application/octet-stream' }));
  app.use(express.json({ limit: MOST_SMALL_BODY, verify: refuseOtherEncodings }));
  app.use(refuseTooDeep);
  app.use(bodyErrors);
}

/** The built page: its files, and for every other address that is not the API's, the page itself. */
function servePage(app: NestExpressApplication, folder: string): void {
  const asBuilt = {
    maxAge: '1y',
    immutable: true,
    fallthrough: true,
    // Its name stays while its content changes.
    setHeaders: (response: ServerResponse, path: string) => {
      if (path.endsWith('service-worker.js')) response.setHeader('Cache-Control', 'no-cache');
    },
  };
  app.use(expressStaticGzip(folder, { index: false, serveStatic: asBuilt }));
  app.use((request: Request, response: Response, next: () => void) => {
    if (!['GET', 'HEAD'].includes(request.method) || request.path.startsWith('/api')) return next();
    response.set('Cache-Control', 'no-cache').sendFile(join(folder, 'index.html'));
  });
}

/** Whoever goes while a file is sent is no fault; what else goes wrong outside the API is said briefly, and not to the output. */
function brokenOff(log: Logger): ErrorRequestHandler {
  return (error: { code?: string; status?: number }, _request, response, _next) => {
    if (error.code !== 'ECONNABORTED' && error.code !== 'ERR_STREAM_PREMATURE_CLOSE') {
      log.warn(described(error), 'a file could not be sent');
    }
    if (response.headersSent) response.destroy();
    else {
      const status = error.status ?? 500;
      const message = status < 500 ? 'The address cannot be read.' : 'Internal server error.';
      response.status(status).json({ message } satisfies ErrorBody);
    }
  };
}
