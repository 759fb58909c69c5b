// The log of the shop: what was done, as events that are appended and never changed, and what they come to.

export { type Answer, answerFor, dangerAbout, lastAnswer } from './answers';
export {
  type Doubled,
  foldEvents,
  type LedgerLine,
  nextClock,
  numberedCut,
  offcutId,
  type ShopState,
  shelfOf,
  untouchedShop,
  versionOneDevice,
} from './fold';
export {
  type Happened,
  longestEvent,
  longestMessage,
  mostEventsSent,
  parseEvents,
  type RefusedEvent,
  type ShopEvent,
  sortEvents,
} from './schema';
