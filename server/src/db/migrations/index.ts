import { Init1764000000000 } from './1764000000000-init.ts';
import { Connectors1764100000000 } from './1764100000000-connectors.ts';
import { Survey1764200000000 } from './1764200000000-survey.ts';
import { Practices1764300000000 } from './1764300000000-practices.ts';
import { Layout1764400000000 } from './1764400000000-layout.ts';
import { PastEnds1764500000000 } from './1764500000000-past-ends.ts';
import { Earlier1764600000000 } from './1764600000000-earlier.ts';
import { Identity1764700000000 } from './1764700000000-identity.ts';
import { Cables1764800000000 } from './1764800000000-cables.ts';
import { Terminals1764900000000 } from './1764900000000-terminals.ts';
import { Lists1765000000000 } from './1765000000000-lists.ts';
import { Mishaps1765100000000 } from './1765100000000-mishaps.ts';
import { Placed1765200000000 } from './1765200000000-placed.ts';
import { Settings1765300000000 } from './1765300000000-settings.ts';
import { HowRead1765400000000 } from './1765400000000-how-read.ts';
import { Functions1765500000000 } from './1765500000000-functions.ts';
import { OwnCables1765600000000 } from './1765600000000-own-cables.ts';
import { OpenLengths1765700000000 } from './1765700000000-open-lengths.ts';
import { Sequence1765800000000 } from './1765800000000-sequence.ts';
import { Chain1765900000000 } from './1765900000000-chain.ts';
import { People1766000000000 } from './1766000000000-people.ts';
import { Good1766100000000 } from './1766100000000-good.ts';
import { RecordText1766200000000 } from './1766200000000-record-text.ts';
import { Parcels1766300000000 } from './1766300000000-parcels.ts';
import { Todos1766400000000 } from './1766400000000-todos.ts';
import { Remarks1766500000000 } from './1766500000000-remarks.ts';
import { FacePhotos1766600000000 } from './1766600000000-face-photos.ts';

/** Every step that brings a database to this version, the first one first. */
export const MIGRATIONS = [
  Init1764000000000,
  Connectors1764100000000,
  Survey1764200000000,
  Practices1764300000000,
  Layout1764400000000,
  PastEnds1764500000000,
  Earlier1764600000000,
  Identity1764700000000,
  Cables1764800000000,
  Terminals1764900000000,
  Lists1765000000000,
  Mishaps1765100000000,
  Placed1765200000000,
  Settings1765300000000,
  HowRead1765400000000,
  Functions1765500000000,
  OwnCables1765600000000,
  OpenLengths1765700000000,
  Sequence1765800000000,
  Chain1765900000000,
  People1766000000000,
  Good1766100000000,
  RecordText1766200000000,
  Parcels1766300000000,
  Todos1766400000000,
  Remarks1766500000000,
  FacePhotos1766600000000,
];
