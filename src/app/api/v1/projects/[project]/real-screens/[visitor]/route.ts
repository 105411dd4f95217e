import * as api from '@/formats/api/real-screens';
import { sendAway, showThere } from '@/server/real-screen/real-screens';
import { done, serve } from '../../../../../serve';

export const POST = serve(api.showOnRealScreen, ({ params, body }) => {
  showThere(params.project, params.visitor, body);
  return done();
});

export const DELETE = serve(api.sendRealScreenAway, ({ params }) => {
  sendAway(params.project, params.visitor);
  return done();
});
