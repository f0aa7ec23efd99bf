import { readdirSync } from 'node:fs';
import { expect } from 'chai';
import fc from 'fast-check';
import { isSchema, ValidationError, type AnyObjectSchema } from 'yup';

const HERE = new URL('../src/', import.meta.url);

/** Keys that every object has. */
const NAMES = new RegExp(`"(${Object.getOwnPropertyNames(Object.prototype).join('|')})":`);

/** Every body of the contract, by the name it is exported under. */
async function bodies(): Promise<[string, AnyObjectSchema][]> {
  const files = readdirSync(HERE).filter((f) => f.endsWith('.ts'));
  const all = await Promise.all(
    files.map(async (f) => {
      const exported = (await import(new URL(f, HERE).href)) as Record<string, unknown>;
      return Object.entries(exported).flatMap(([name, value]): [string, AnyObjectSchema][] =>
        isSchema(value) && (value as AnyObjectSchema).type === 'object'
          ? [[`${f} ${name}`, value as AnyObjectSchema]]
          : [],
      );
    }),
  );
  return all.flat();
}

/** What is wrong with something sent; '' where nothing is. Anything but a fault told by field is thrown on. */
function faultsOf(schema: AnyObjectSchema, sent: unknown): string[] {
  try {
    schema.validateSync(sent, { abortEarly: false, strict: false });
    return [];
  } catch (error) {
    if (error instanceof ValidationError) return error.errors;
    throw error;
  }
}

/** Something of the right shape in places, and of none in others: what a schema looks at as a whole must bear it. */
const nearly = (schema: AnyObjectSchema): fc.Arbitrary<unknown> => {
  const odd = fc.oneof(
    // keys of every object are kept out before a body is looked at
    fc.jsonValue({ maxDepth: 2 }).filter((x) => !NAMES.test(JSON.stringify(x))),
    fc.constantFrom<unknown>(null, [], {}, [null], [{}], [[]], '', 'x', -1, 0, 1e300, true, '2037-03-09'),
    fc.array(
      fc.record({
        id: fc.constantFrom('a', null, 3),
        part: fc.constantFrom('a', null, {}),
        height: fc.constantFrom(1, 'x'),
      }),
      {
        maxLength: 3,
      },
    ),
  );
  return fc.record(Object.fromEntries(Object.keys(schema.fields).map((name) => [name, odd])), {
    requiredKeys: [],
  });
};

describe('bodies of the contract', () => {
  let all: [string, AnyObjectSchema][];
  before(async () => {
    all = await bodies();
  });

  it('are as many as the subjects have', () => {
    expect(all.length).to.be.above(90);
  });

  it('property: whatever is sent is taken or refused by field, and never breaks what looks at it as a whole', () => {
    for (const [name, schema] of all)
      fc.assert(
        fc.property(nearly(schema), (sent) => {
          // as it comes out of a request
          const faults = faultsOf(schema, JSON.parse(JSON.stringify(sent)));
          for (const f of faults) expect(f, name).to.be.a('string').and.not.to.equal('');
        }),
        { numRuns: 12 },
      );
  });

  it('what is no body at all is refused', () => {
    for (const [name, schema] of all)
      for (const none of [[], 'text', 7, true]) expect(faultsOf(schema, none), name).to.not.deep.equal([]);
  });

  it('dates are days there are: 30 February and day 32 are none, in any field that asks for one', () => {
    const dated = all.filter(
      ([, s]) => 'on' in s.fields && (s.fields.on as AnyObjectSchema).type === 'string',
    );
    expect(dated.length).to.be.above(10);
    const on = (schema: AnyObjectSchema, day: string) =>
      faultsOf(schema, { on: day }).some((f) => /^on |day|date/.test(f) && !f.includes('missing'));
    for (const [name, schema] of dated) {
      for (const wrong of ['2037-02-30', '2037-13-01', '2037-01-32', 'yesterday', '37-1-1'])
        expect(on(schema, wrong), `${name} ${wrong}`).to.equal(true);
      expect(on(schema, '2036-02-29'), `${name}, a leap day`).to.equal(false);
    }
  });
});
