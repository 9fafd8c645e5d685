/** So long what was deleted can be brought back, days; then it is truly gone from the kitchen. */
export const TRASH_DAYS = 30;
/** Of the copies that are made at night the last of each of so many days stay, and the last of each of so many weeks. */
export const COPY_DAYS = 7;
export const COPY_WEEKS = 8;
/** What is said wherever something is deleted. */
export const DELETED_WORDS = `What is deleted can be brought back for ${TRASH_DAYS} days; copies of the kitchen hold it for up to ${COPY_WEEKS} weeks more.`;
