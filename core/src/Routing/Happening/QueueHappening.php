<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

/**
 * What happens in a queue.
 *
 * @phpstan-sealed CallbackClosed|CallbackOffered|CallbackTaken|CallbackTried|LeftByKey|MusicBegins|NoticeSent|PlaceTold|QueueEntered|SignedByCode|SignedOutForMissing|WaitedInVain|WordHeard
 */
interface QueueHappening extends Happening {}
