import { expect } from 'chai';
import { compileCourse } from '@gonimos/core/course';
import {
  editOfOperation,
  editOfTaxon,
  faultsOfOperation,
  faultsOfTaxon,
  holdOwn,
  operationOfOwn,
  taxonOfOwn,
  type Own,
  type OwnOperation,
  type OwnTaxon,
} from '@gonimos/core/library';
import { hasOperation, operation, OPERATIONS, operations, type WindowSpec } from '@gonimos/core/operations';
import { PROGRAMMES, suits, type Programme } from '@gonimos/core/programmes';
import { beginningOf, stagesOf } from '@gonimos/core/starts';
import { hasTaxon, TAXA, taxa, taxon } from '@gonimos/core/taxa';
import { factsOf, placeFor, TODAY, worldOf } from '../matrix/world.ts';

const ownOperation = (id: string, like: string, more: Partial<OwnOperation['edit']> = {}): OwnOperation => ({
  kind: 'operation',
  id,
  like,
  version: 1,
  edit: { ...editOfOperation(OPERATIONS.find((o) => o.id === like)!), ...more },
});
const ownTaxon = (id: string, like: string, more: Partial<OwnTaxon['edit']> = {}): OwnTaxon => ({
  kind: 'taxon',
  id,
  like,
  version: 1,
  edit: { ...editOfTaxon(TAXA.find((t) => t.id === like)!), ...more },
});

/** One's own under another id, nothing changed: whatever differs in a course then was decided by the id alone. */
const MARK = 'zz-';
const copies: Own[] = [
  ...OPERATIONS.map((o) => ownOperation(MARK + o.id, o.id)),
  ...TAXA.map((t) => ownTaxon(MARK + t.id, t.id)),
];
const copied = (p: Programme): Programme => ({
  ...p,
  steps: p.steps.map((s) => ({ ...s, operation: MARK + operation(s.operation).id })),
});

describe('a library of one’s own', () => {
  afterEach(() => holdOwn([]));

  it('plans copies of every operation and taxon exactly as those they were made from, over climates', () => {
    holdOwn(copies);
    let courses = 0;
    const groups = new Map(TAXA.map((t) => [t.group, t]));
    for (const world of ['baltic', 'mediterranean', 'savanna-south'].map(worldOf))
      for (const kind of groups.values()) {
        const book = placeFor(world, kind);
        if (!book) continue;
        for (const programme of PROGRAMMES) {
          const ours = compileCourse(factsOf(kind, programme), book, TODAY);
          const own = compileCourse(factsOf(taxon(MARK + kind.id), copied(programme)), book, TODAY);
          const named = JSON.stringify(own).replaceAll(MARK, '');
          expect(named, `${kind.id} ${programme.id} ${world.id}`).to.equal(JSON.stringify(ours));
          expect(suits(programme.id, taxon(MARK + kind.id))).to.equal(suits(programme.id, kind));
          courses++;
        }
      }
    expect(courses).to.be.above(400);
    for (const p of PROGRAMMES) {
      expect(stagesOf(copied(p)).map((s) => s.stage)).to.deep.equal(stagesOf(p).map((s) => s.stage));
      expect(beginningOf(copied(p))).to.equal(beginningOf(p));
    }
  }).timeout(60_000);

  it('lets what was changed decide the course, says that it is your data, and keeps the rest with its source', () => {
    const baltic = worldOf('baltic');
    const kind = taxon('acer-palmatum');
    const programme = PROGRAMMES.find((p) => p.steps.some((s) => s.operation === 'root-correct'))!;
    const corrected = () =>
      compileCourse(factsOf(kind, programme), baltic.outdoors, TODAY).steps.find(
        (s) => s.operation === 'root-correct',
      )!;
    const before = corrected();
    const [opens] = [before.opens!];
    const library = operation('root-correct');
    const edit = editOfOperation(library);
    holdOwn([
      ownOperation('root-correct', 'root-correct', {
        minutes: library.minutes.value + 7,
        windows: { any: { kind: 'season', opens: ['bud-swell', -10], closes: ['bud-break', 5] } },
      }),
    ]);
    expect(operation('root-correct').minutes).to.deep.equal({
      value: library.minutes.value + 7,
      unit: 'person-minutes a plant',
      basis: 'your data',
    });
    expect(operation('root-correct').rootLoss).to.deep.equal(library.rootLoss);
    expect(corrected().minutes).to.equal(before.minutes + 7 * 60);
    expect(corrected().opens! > opens, `${corrected().opens} after ${opens}`).to.equal(true);
    expect(edit.minutes).to.equal(library.minutes.value);
  });

  it('goes back to the library’s when it is let go, and never takes a caution away', () => {
    const risky = OPERATIONS.find((o) => o.caution)!;
    const own = ownOperation('careful', risky.id, { caution: 'Ours: two people.' });
    expect(operationOfOwn(own).caution).to.equal(`${risky.caution} Ours: two people.`);
    const toxic = TAXA.find((t) => t.caution)!;
    expect(taxonOfOwn(ownTaxon('mild', toxic.id, { caution: '' })).caution).to.equal(toxic.caution);
    holdOwn([own, ownTaxon('mild', toxic.id)]);
    expect([hasOperation('careful'), hasTaxon('mild')]).to.deep.equal([true, true]);
    // what is edited again begins with what was written besides, and not with the library's words
    expect(editOfOperation(operation('careful')).caution).to.equal('Ours: two people.');
    holdOwn([]);
    expect([hasOperation('careful'), hasTaxon('mild')]).to.deep.equal([false, false]);
    expect([operations().length, taxa().length]).to.deep.equal([OPERATIONS.length, TAXA.length]);
  });

  it('refuses what could never be planned with, by field', () => {
    const never: WindowSpec = { kind: 'season', opens: ['bud-swell', 9], closes: ['bud-swell', 2] };
    const said = (o: OwnOperation) => faultsOfOperation(o).map((f) => f.field);
    expect(said(ownOperation('a', 'chop'))).to.deep.equal([]);
    expect(said(ownOperation('a', 'chop', { windows: { any: never } }))).to.deep.equal(['windows.any']);
    expect(said(ownOperation('a', 'chop', { windows: {} }))).to.include('windows');
    expect(said(ownOperation('chop', 'wire'))).to.deep.equal(['ownId']);
    expect(said({ ...ownOperation('a', 'chop'), like: 'nothing' })).to.deep.equal(['like']);
    expect(said(ownOperation('a', 'chop', { aftercare: ['sow'] }))).to.deep.equal(['aftercare']);
    const kind = ownTaxon('acer-x', 'acer-palmatum', { code: 'QQ', name: 'Dwarf maple' });
    expect(faultsOfTaxon(kind, TAXA)).to.deep.equal([]);
    expect(
      faultsOfTaxon({ ...kind, edit: { ...kind.edit, code: taxon('ulmus-minor').code } }, TAXA)[0].field,
    ).to.equal('code');
    expect(faultsOfTaxon(ownTaxon('acer-x', 'acer-palmatum'), TAXA).map((f) => f.field)).to.have.members([
      'code',
      'name',
    ]);
  });
});
