import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { SwaggerModule } from '@nestjs/swagger';
import compression from 'compression';
import express, { type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import { Logger } from 'nestjs-pino';
import { join } from 'node:path';
import { AppModule } from './app.module';
import { ProblemFilter } from './common/problem.filter';
import { refuseDeepJson } from './common/jsonDepth';
import type { Config } from './config';
import { describeApi } from './description/document';
import { LOOPBACK_NAMES, onlyOwnPages } from './door/ownPages';
import { noteWhoIsThere } from './people/whoIsThere';

const BODY_LIMIT = '1mb';

/** The application, ready to listen; nothing has touched the database yet. */
export async function createApp(config: Config): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(config), {
    bodyParser: false,
    bufferLogs: true,
    abortOnError: false,
    // The event stream never ends by itself.
    forceCloseConnections: true,
  });
  app.useLogger(app.get(Logger));
  app.use(
    helmet({
      contentSecurityPolicy: { directives: { 'upgrade-insecure-requests': null, 'worker-src': ["'self'", 'blob:'] } },
      // Served on loopback over plain HTTP; a proxy in front sets this where it serves HTTPS.
      strictTransportSecurity: false,
    }),
  );
  app.use(onlyOwnPages([...LOOPBACK_NAMES, ...config.networkNames]));
  app.use(compression());
  app.use(
    express.json({ limit: BODY_LIMIT, strict: false, verify: (_request, _response, body) => refuseDeepJson(body) }),
  );
  app.use(noteWhoIsThere);
  app.setGlobalPrefix('api');
  app.useGlobalFilters(new ProblemFilter());
  SwaggerModule.setup('api/docs', app, () => describeApi(app), { jsonDocumentUrl: 'api/openapi.json' });
  if (config.webFolder) servePage(app, config.webFolder);
  app.enableShutdownHooks();
  return app;
}

/** Built files by name; every other address is a place inside the page. */
function servePage(app: NestExpressApplication, folder: string): void {
  const files = express.static(folder, { index: false, maxAge: '1y', immutable: true });
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (request.path.startsWith('/api') || !['GET', 'HEAD'].includes(request.method)) return next();
    files(request, response, () => {
      if (/\.\w+$/.test(request.path)) return next();
      response.setHeader('Cache-Control', 'no-cache');
      response.sendFile(join(folder, 'index.html'));
    });
  });
}
