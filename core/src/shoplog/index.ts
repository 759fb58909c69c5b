// The log of the shop: what was done, as events that are appended and never changed, and what they come to.

export { type Answer, answerFor, dangerAbout, lastAnswer } from './answers';
export {
  foldEvents,
  type LedgerLine,
  offcutId,
  type ShopState,
  shelfOf,
  untouchedShop,
  versionOneDevice,
} from './fold';
export { type Happened, parseEvents, type ShopEvent } from './schema';
