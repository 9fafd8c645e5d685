/**
 * Version of the models of heat, gelling and steam. It goes up whenever a figure may come out otherwise for the same plan; every snapshot keeps
 * the one it was made by, and what is learned from older ones is forecast again first.
 */
export const MODEL_VERSION = 3;
