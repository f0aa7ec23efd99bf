import * as ground from './001-ground.ts';
import * as ledger from './002-ledger.ts';
import * as schedule from './003-schedule.ts';
import * as propagation from './004-propagation.ts';
import * as anyClimate from './005-any-climate.ts';
import * as oneSchema from './006-one-schema.ts';
import * as planDue from './007-plan-due.ts';
import * as people from './008-people.ts';
import * as anyOrder from './009-any-order.ts';
import * as details from './010-details.ts';
import * as planDigest from './011-plan-digest.ts';
import * as ownLibrary from './012-own-library.ts';
import * as drift from './013-drift.ts';
import * as missed from './014-missed.ts';
import * as held from './015-held.ts';
import * as units from './016-units.ts';
import * as routine from './017-routine.ts';
import * as planKept from './018-plan-kept.ts';
import * as stemRecords from './021-stem-records.ts';
import * as rootRecords from './019-root-records.ts';
import * as wantsOn from './020-wants-on.ts';
import * as pottingShed from './022-potting-shed.ts';
import * as ownContainers from './023-own-containers.ts';
import * as batches from './024-batches.ts';
import * as groups from './025-groups.ts';
import * as stepWants from './026-step-wants.ts';
import * as drawingChanged from './027-drawing-changed.ts';
import * as joined from './028-joined.ts';
import * as eaten from './029-eaten.ts';
import * as lightPlans from './030-light-plans.ts';
import * as anyOrderAgain from './031-any-order-again.ts';

/** Every migration in order. Forward only: mend with a new one. */
export const MIGRATIONS = [
  { name: '001-ground', ...ground },
  { name: '002-ledger', ...ledger },
  { name: '003-schedule', ...schedule },
  { name: '004-propagation', ...propagation },
  { name: '005-any-climate', ...anyClimate },
  { name: '006-one-schema', ...oneSchema },
  { name: '007-plan-due', ...planDue },
  { name: '008-people', ...people },
  { name: '009-any-order', ...anyOrder },
  { name: '010-details', ...details },
  { name: '011-plan-digest', ...planDigest },
  { name: '012-own-library', ...ownLibrary },
  { name: '013-drift', ...drift },
  { name: '014-missed', ...missed },
  { name: '015-held', ...held },
  { name: '016-units', ...units },
  { name: '017-routine', ...routine },
  { name: '018-plan-kept', ...planKept },
  { name: '019-root-records', ...rootRecords },
  { name: '020-wants-on', ...wantsOn },
  { name: '021-stem-records', ...stemRecords },
  { name: '022-potting-shed', ...pottingShed },
  { name: '023-own-containers', ...ownContainers },
  { name: '024-batches', ...batches },
  { name: '025-groups', ...groups },
  { name: '026-step-wants', ...stepWants },
  { name: '027-drawing-changed', ...drawingChanged },
  { name: '028-joined', ...joined },
  { name: '029-eaten', ...eaten },
  { name: '030-light-plans', ...lightPlans },
  { name: '031-any-order-again', ...anyOrderAgain },
];
