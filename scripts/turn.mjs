/** Which day's turn it is of what comes round by turns; IDLE_LADLE_TURN names another. */
export const turnToday = () => Number(process.env.IDLE_LADLE_TURN ?? Math.floor(Date.now() / 86_400_000));
