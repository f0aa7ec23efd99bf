import multipart from '@fastify/multipart';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import sharp from 'sharp';
import { object, string } from 'yup';
import { id } from '@gonimos/contract/fields';
import { LONGEST_SIDE, MOST_BYTES, THUMB_SIDE } from '@gonimos/contract/pictures';
import { Refusal, wrongField } from '../http/problem.ts';
import { route } from '../http/route.ts';
import { readCohort } from '../cohorts/store.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { insertPicture, listPictures, readPicture } from './store.ts';

const KINDS = ['jpeg', 'png', 'webp', 'heif', 'tiff'];
const MOST_PIXELS = 80_000_000;

/** Reads a picture by what is in it, not by its name; turned upright, made small, without its place data. */
async function shrink(bytes: Buffer) {
  try {
    const options = { limitInputPixels: MOST_PIXELS, failOn: 'error' as const };
    const { format } = await sharp(bytes, options).metadata();
    if (!format || !KINDS.includes(format)) throw new Error('no picture');
    const fit = (side: number) =>
      sharp(bytes, options)
        .rotate()
        .resize(side, side, { fit: 'inside', withoutEnlargement: true })
        .jpeg({ quality: 82 });
    const { data, info } = await fit(LONGEST_SIDE).toBuffer({ resolveWithObject: true });
    return { bytes: data, width: info.width, height: info.height, thumb: await fit(THUMB_SIDE).toBuffer() };
  } catch {
    throw wrongField('picture', 'is not a picture that can be read (JPEG, PNG, WebP, TIFF)');
  }
}

const MOST_MB = MOST_BYTES / 1024 / 1024;
const tooLarge = () =>
  new Refusal('too-large', `A picture may have at most ${MOST_MB} MB.`, {
    errors: [{ field: 'picture', reason: `is above ${MOST_MB} MB` }],
  });

/** The one file of a request; two would be two pictures under one id. */
async function onePicture(request: FastifyRequest): Promise<Buffer> {
  if (!request.isMultipart()) throw wrongField('picture', 'is missing');
  const files: Buffer[] = [];
  for await (const part of request.files()) {
    if (files.length > 0) throw wrongField('picture', 'is one at a time: send each by itself');
    files.push(
      await part.toBuffer().catch(() => {
        throw tooLarge();
      }),
    );
  }
  if (files.length === 0) throw wrongField('picture', 'is missing');
  return files[0];
}

export async function pictureRoutes(app: FastifyInstance): Promise<void> {
  await app.register(multipart, { limits: { fileSize: MOST_BYTES, files: 2, fields: 4 } });

  route(app, {
    method: 'POST',
    url: '/cohorts/:id/pictures',
    role: 'helper',
    summary: 'Keeps a picture of a cohort: one file, and the record it belongs to',
    params: object({ id: id() }),
    query: object({ picture: id(), record: string().matches(/^[0-9a-f-]{36}$/, 'is not a UUID') }),
    handle: async ({ params, query, person, request }) => {
      await readCohort(app.db, params.id);
      const sent = await onePicture(request);
      await insertPicture(app.db, {
        id: query.picture,
        cohortId: params.id,
        recordId: query.record ?? null,
        personId: person.id,
        on: todayAt(await readNursery(app.db)),
        ...(await shrink(sent)),
      });
      return { id: query.picture };
    },
  });

  route(app, {
    method: 'GET',
    url: '/cohorts/:id/pictures',
    role: 'helper',
    summary: 'Pictures of a cohort, newest first',
    params: object({ id: id() }),
    handle: ({ params }) => listPictures(app.db, params.id),
  });

  route(app, {
    method: 'GET',
    url: '/pictures/:id',
    role: 'helper',
    summary: 'A picture, or its thumbnail',
    params: object({ id: id() }),
    query: object({ size: string().oneOf(['full', 'thumb']).default('full') }),
    handle: async ({ params, query, reply }) =>
      reply
        .type('image/jpeg')
        .header('cache-control', 'private, max-age=31536000, immutable')
        .header('content-disposition', 'inline')
        .send(await readPicture(app.db, params.id, query.size === 'thumb')),
  });
}
