import type { APIRoute } from 'astro';
import { inputOf, outgoing } from '../../../server/http/answer';
import { answerTo, partsOf, replied, wrongMethod } from '../../../server/http/endpoint';
import { samplePort } from '../../../server/sample';

export const PUT: APIRoute = async (context) => {
  try {
    inputOf('putSample', await partsOf('putSample', context));
    return replied(outgoing('putSample', { port: await samplePort() }));
  } catch (error) {
    return answerTo(error, context.request);
  }
};
export const ALL = wrongMethod('PUT');
