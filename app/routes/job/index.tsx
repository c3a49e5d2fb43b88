import { redirect } from 'react-router';
import type { Route } from './+types/index';

export const clientLoader = ({ params }: Route.ClientLoaderArgs) => redirect(`/job/${params.jobId}/lay-out`);

export default function JobIndex() {
  return null;
}
