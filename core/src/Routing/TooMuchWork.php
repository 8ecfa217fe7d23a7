<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

/** A question about calls sets more in motion than can be worked out at once. */
final class TooMuchWork extends \RuntimeException
{
    /** @param int|null $instant as far as was looked for a change, and none was found; null where one call alone is too large */
    public function __construct(public readonly ?int $instant)
    {
        parent::__construct(
            null === $instant
                ? 'This call rings more phones, and goes through more steps, than can be tried at once. Ring smaller teams, or in fewer stages.'
                : 'No change was found so far, and looking further takes too long. Set the moment there, and look on.',
        );
    }
}
