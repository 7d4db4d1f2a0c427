/**
 * Records that wait on a device until the server has confirmed them: for how long, and under which headers they come. A record keeps who
 * made it and when, whoever is signed in when it arrives.
 */
/** A device tries so long to send a record by itself; then a person decides. */
export const outboxDays = 14;
/** Answers to keys are kept so long: longer than any device asks again. */
export const keptAnswerDays = 60;
/** A record may come under somebody else's session so long after its author's session ended, h. */
export const hoursAfterSession = 24;

/** Proves that its author was signed in on the device: the `ticket` of a session's state. */
export const authorHeader = 'fox-tempo-author';
/** Moment at which the record was made, by the device's clock. */
export const madeAtHeader = 'fox-tempo-made-at';
