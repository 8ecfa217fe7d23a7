import { useOverrideStamp } from '../overrides/useOverrides';
import { useStatusStamp } from '../people/useStatuses';
import { useSignInStamp } from '../queues/useSignIns';

/** Changes with everything that is not plan and takes effect at once, whoever sets it: answers are asked for again. */
export function useLiveStamp(): string {
    return `${useOverrideStamp()} ${useStatusStamp()} ${useSignInStamp()}`;
}
