import compress from '@fastify/compress';
import cookie from '@fastify/cookie';
import csrf from '@fastify/csrf-protection';
import helmet from '@fastify/helmet';
import rateLimit from '@fastify/rate-limit';
import session from '@fastify/session';
import files from '@fastify/static';
import swagger from '@fastify/swagger';
import { convertSchema } from '@sodaru/yup-to-json-schema';
import Fastify, { type FastifyInstance } from 'fastify';
import { existsSync } from 'node:fs';
import { isSchema, type AnySchema } from 'yup';
import { ownRoutes } from './library/own-routes.ts';
import { libraryRoutes } from './library/routes.ts';
import { missedRoutes } from './missed/routes.ts';
import { fittingRoutes } from './fittings/routes.ts';
import { bedRoutes } from './beds/routes.ts';
import { meanwhileRoutes } from './meanwhile/routes.ts';
import { shelterRoutes } from './shelter/routes.ts';
import { moveRoutes } from './moves/routes.ts';
import { observationRoutes } from './observations/routes.ts';
import { pictureRoutes } from './pictures/routes.ts';
import { schoolRoutes } from './schools/routes.ts';
import { simulatedCaliper } from './simulated/caliper.ts';
import { simulatedPrinter } from './simulated/printer.ts';
import { simulatedStation } from './simulated/station.ts';
import { stationRoutes } from './station/routes.ts';
import { mixRoutes } from './mixes/routes.ts';
import { stockRoutes } from './stock/routes.ts';
import { survivalRoutes } from './survival/routes.ts';
import { visitRoutes } from './visits/routes.ts';
import { handsRoutes } from './year/hands-routes.ts';
import { routineRoutes } from './year/routines.ts';
import { yearRoutes } from './year/routes.ts';
import { calcRoutes, figureRoutes } from './calc/routes.ts';
import { comparisonRoutes } from './comparison/routes.ts';
import { cuttingRoutes } from './cuttings/routes.ts';
import { layerRoutes } from './layers/routes.ts';
import { lineageRoutes } from './lineage/routes.ts';
import { seedRoutes } from './seed/routes.ts';
import { startRoutes } from './starts/routes.ts';
import { trayRoutes } from './trays/routes.ts';
import { cohortRoutes } from './cohorts/routes.ts';
import { courseRoutes } from './course/routes.ts';
import type { Db } from './db/index.ts';
import { houseOf } from './house.ts';
import { demoRoutes } from './demo/routes.ts';
import { planningRoutes } from './planning/routes.ts';
import { fileRoutes } from './files/routes.ts';
import { ledgerRoutes } from './ledger/routes.ts';
import { OWN_LIBRARY } from '@gonimos/contract/headers';
import { keepOwnHeld } from './own/store.ts';
import { nurseryRoutes } from './nursery/routes.ts';
import { auditRoutes } from './audit/routes.ts';
import { everythingRoutes } from './everything/routes.ts';
import { paceRoutes } from './pace/routes.ts';
import { potRoutes } from './pots/routes.ts';
import { peopleRoutes } from './people/routes.ts';
import { ownPersonRoutes } from './people/own-routes.ts';
import { sessionRoutes } from './people/session-routes.ts';
import { DatabaseSessions } from './people/session-store.ts';
import { recordRoutes } from './records/routes.ts';
import { WATCHES } from './watches.ts';
import { labelRoutes } from './labels/routes.ts';
import { rootRoutes } from './roots/routes.ts';
import { stemRoutes } from './stem/routes.ts';
import { fitRoutes } from './fit/routes.ts';
import { fusingRoutes } from './fusing/routes.ts';
import { trunkRoutes } from './trunk/routes.ts';
import { roundRoutes } from './round/routes.ts';
import { seasonRoutes } from './season/routes.ts';
import { answerFramework, answerProblems, notFound } from './http/problem.ts';
import { guardRoles, route } from './http/route.ts';
import { readAddress, readBody } from './http/validate.ts';

export interface AppOptions {
  db: Db;
  /** signs the session cookie; at least 32 letters */
  secret: string;
  /** started as the demo: anyone on this machine may enter a database that is marked as the demo's */
  demo?: boolean;
  /** the address is served over HTTPS: cookies only go there */
  secure?: boolean;
  /** addresses of proxies that are believed when they say who asks and how */
  trustProxy?: string[];
  /** address of the label printer, in the shape of contract/src/label-printer.ts */
  labelPrinter?: string;
  /** folder of the built interface */
  web?: string;
  log?: boolean;
}

/** What the subjects answer to. A new subject adds its line. */
const ROUTES: readonly ((app: FastifyInstance) => void)[] = [
  sessionRoutes,
  ownPersonRoutes,
  peopleRoutes,
  auditRoutes,
  everythingRoutes,
  nurseryRoutes,
  seasonRoutes,
  cohortRoutes,
  courseRoutes,
  planningRoutes,
  demoRoutes,
  ledgerRoutes,
  recordRoutes,
  rootRoutes,
  stemRoutes,
  trunkRoutes,
  fitRoutes,
  fusingRoutes,
  roundRoutes(WATCHES),
  labelRoutes,
  fileRoutes,
  calcRoutes,
  figureRoutes,
  visitRoutes,
  survivalRoutes,
  observationRoutes,
  moveRoutes,
  missedRoutes,
  paceRoutes,
  potRoutes,
  fittingRoutes,
  bedRoutes,
  meanwhileRoutes,
  shelterRoutes,
  schoolRoutes,
  libraryRoutes,
  ownRoutes,
  yearRoutes,
  handsRoutes,
  routineRoutes,
  stationRoutes,
  mixRoutes,
  stockRoutes,
  simulatedStation,
  simulatedCaliper,
  simulatedPrinter,
  startRoutes,
  seedRoutes,
  trayRoutes,
  cuttingRoutes,
  layerRoutes,
  lineageRoutes,
  comparisonRoutes,
];

const COOKIE = 'gonimos';
const SESSION_HOURS = 14 * 24;
const BODY_LIMIT = 3_000_000;

const jsonSchema = (schema: unknown) => (isSchema(schema) ? convertSchema(schema as AnySchema) : schema);

async function security(app: FastifyInstance, o: AppOptions): Promise<void> {
  await app.register(helmet, {
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        styleSrc: ["'self'", "'unsafe-inline'"],
        objectSrc: ["'none'"],
        baseUri: ["'self'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: o.secure ?? false,
  });
  await app.register(rateLimit, { global: false });
  await app.register(cookie, { secret: o.secret });
  await app.register(session, {
    secret: o.secret,
    cookieName: COOKIE,
    store: new DatabaseSessions(o.db),
    saveUninitialized: false,
    rolling: false,
    cookie: {
      // files need no session, and must not answer for one
      path: '/api',
      httpOnly: true,
      sameSite: 'strict',
      secure: o.secure ?? false,
      maxAge: SESSION_HOURS * 3_600_000,
    },
  });
  // asked before signing in, answered after it: such an answer must not take the new session away again
  app.addHook('onSend', (_request, reply, _payload, done) => {
    const set = [reply.getHeader('set-cookie') ?? []].flat() as string[];
    if (set.some((c) => c.startsWith(`${COOKIE}=;`))) reply.removeHeader('set-cookie');
    done();
  });
  // the token's secret is a cookie of its own, bound to who is signed in: who only looks leaves no row behind
  await app.register(csrf, {
    sessionPlugin: '@fastify/cookie',
    cookieKey: `${COOKIE}-csrf`,
    cookieOpts: {
      path: '/api',
      httpOnly: true,
      sameSite: 'strict',
      secure: o.secure ?? false,
      signed: true,
    },
    csrfOpts: { hmacKey: o.secret },
    getUserInfo: (request) => request.session.person?.id ?? 'nobody',
    getToken: (request) => request.headers['x-csrf-token'] as string | undefined,
  });
  app.addHook('onRequest', (request, reply, done) => {
    // what is told to one person is kept by no cache; pictures say otherwise for themselves
    if (request.url.startsWith('/api')) void reply.header('cache-control', 'no-store');
    done();
  });
  app.addHook('preValidation', (request, reply, done) => {
    const { role, device } = request.routeOptions.config;
    // whose session has ended meanwhile is told to sign in, not that a token is wrong: the guard answers
    const nobody = !request.session.person && role !== undefined && role !== 'anyone';
    if (request.method === 'GET' || request.method === 'HEAD' || nobody || device) done();
    else app.csrfProtection(request, reply, done);
  });
}

/** What the nursery wrote over the library is in force before anything asked of it is read. */
function holdOwnLibrary(app: FastifyInstance): void {
  app.addHook('preValidation', async (request, reply) => {
    if (!request.routeOptions.config.role || !request.session.person) return;
    void reply.header(OWN_LIBRARY, await keepOwnHeld(app.db));
  });
}

/** The interface: its files, and its one page for every address that is not the API's. */
async function webFiles(app: FastifyInstance, folder: string): Promise<void> {
  await app.register(files, {
    root: folder,
    index: 'index.html',
    cacheControl: false,
    setHeaders: (reply, path) => {
      const kept = /[\\/]assets[\\/]/.test(path);
      reply.setHeader('cache-control', kept ? 'public, max-age=31536000, immutable' : 'no-cache');
    },
  });
  app.setNotFoundHandler((request, reply) => {
    if (request.method !== 'GET' || request.url.startsWith('/api') || request.url.startsWith('/assets'))
      throw notFound('address');
    return reply.header('cache-control', 'no-cache').sendFile('index.html');
  });
}

/** The whole server, not yet listening. */
export async function buildApp(o: AppOptions): Promise<FastifyInstance> {
  const app = Fastify({
    logger: o.log ? { level: 'warn' } : false,
    bodyLimit: BODY_LIMIT,
    forceCloseConnections: true,
    frameworkErrors: answerFramework,
    trustProxy: o.trustProxy?.length ? o.trustProxy : false,
  });
  const house = houseOf(o.db);
  app.decorate('db', house.db);
  app.decorate('followers', house.followers);
  app.decorate('planning', house.planning);
  app.decorate('plan', house.plan);
  app.decorate('demo', o.demo ?? false);
  app.decorate('labelPrinter', o.labelPrinter ?? null);
  answerProblems(app);
  app.setValidatorCompiler<AnySchema>(({ schema, httpPart }) => (data) => ({
    value: httpPart === 'body' ? readBody(schema, data) : readAddress(schema, data),
  }));
  // quick rather than small: the longest answers are read on the spot
  await app.register(compress, { threshold: 2048, encodings: ['gzip'], zlibOptions: { level: 3 } });
  await app.register(swagger, {
    openapi: {
      info: { title: 'Gonimos', version: '1', description: 'Plans and records of young bonsai stock' },
    },
    transform: ({ schema, url }) => ({
      url,
      schema: {
        ...schema,
        ...(schema?.body ? { body: jsonSchema(schema.body) } : {}),
        ...(schema?.params ? { params: jsonSchema(schema.params) } : {}),
        ...(schema?.querystring ? { querystring: jsonSchema(schema.querystring) } : {}),
      },
    }),
  });
  await security(app, o);
  guardRoles(app);
  holdOwnLibrary(app);

  for (const routes of ROUTES) routes(app);
  await pictureRoutes(app);
  route(app, {
    method: 'GET',
    url: '/health',
    role: 'anyone',
    summary: 'Whether the server and its database answer',
    handle: async () => {
      await o.db.raw('SELECT 1');
      return { ok: true };
    },
  });
  route(app, {
    method: 'GET',
    url: '/openapi.json',
    role: 'anyone',
    summary: 'This interface, described',
    handle: () => app.swagger(),
  });
  if (o.web && existsSync(o.web)) await webFiles(app, o.web);
  else app.setNotFoundHandler(() => Promise.reject(notFound('address')));
  return app;
}
