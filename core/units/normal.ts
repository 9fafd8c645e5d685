/** The 90 % point of the standard normal distribution: from one standard deviation to the ends of a 10–90 % interval. */
export const Z80 = 1.2816;
