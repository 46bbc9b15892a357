export { FIRST_PAGE } from './firstPage.ts';
export { OPERATIONS } from './operations.ts';
export type {
  AskName,
  AnswerOf,
  AnsweringName,
  ArgsOf,
  LineOf,
  ListName,
  OperationName,
  ReadName,
  SendingName,
  SentOf,
  WriteName,
} from './operations.ts';
export type { Method, Nothing, Operation, ParamsOf, WriteHead } from './operation.ts';
export { partsOf, wholeJob } from './wholeJob.ts';
export { addressOf, paramNames, requestOf, type Request } from './request.ts';
export type {
  DueBack,
  Backups,
  ChainedRecord,
  ChainState,
  RecordBundle,
  DuePage,
  ErrorBody,
  FoundCircuit,
  HarnessSummary,
  HarnessView,
  JobEffect,
  JobsAsked,
  JobState,
  JobSummary,
  JobView,
  KeptBackup,
  KeptRecord,
  Page,
  PageAsked,
  Person,
  PhotoView,
  PracticeView,
  RecordLine,
  RulingOf,
  StageName,
  Tick,
} from './types.ts';
export { hasRight, ROLES } from './people.ts';
export type {
  CalendarAddress,
  Comebacks,
  ComebacksAsked,
  DoneBody,
  DoneRepair,
  HarnessHistory,
  KeptSearch,
  RecordFound,
  RecordsAsked,
} from './history.ts';
export type { CavityMark, FacePhoto, FacePhotoSaid } from './facePhotos.ts';
export type { ExportAsked, Parcel, ParcelFile, ParcelManifest, ParcelRecord, ParcelRecordsAsked } from './parcels.ts';
export { SEARCHES_MOST } from './history.ts';
export { SHARE_DAYS } from './shares.ts';
export type { Share, SharedBody, SharedRecord, ShareMade, ShareSent } from './shares.ts';
export type { ShopAsked, ShopState } from './shop.ts';
export { TEMPLATE_MOST_MM } from './templates.ts';
export type { TemplateAsked } from './templates.ts';
export type { Todo, TodosAsked, TodoSent, TodoTaken } from './todos.ts';
export type { Account, Right, Role, Session, SignIn } from './people.ts';
export { mayDo, rightOf } from './rights.ts';
export { asksSecret, whyNotSigned, type ToSign } from './signing.ts';
export { PASSPHRASE_LEAST, PIN_LEAST, ROLE_WORDS, SECRET_MOST, whyNoSecret } from './secret.ts';
export { nameKey } from './name.ts';
