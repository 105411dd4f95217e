import { problemResponse } from '../respond';

const nowhere = () =>
  problemResponse(
    404,
    'There is nothing at this address. What there is is described at /api/v1/openapi.json.',
  );

export { nowhere as DELETE, nowhere as GET, nowhere as PATCH, nowhere as POST, nowhere as PUT };
