export * from './browning';
export * from './searPiece';
export * from './packPan';
export * from './searFix';
