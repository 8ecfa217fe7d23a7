<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Prompt;

/**
 * A recording that was too loud for its own file: it crackles.
 *
 * @implements Check<Prompt>
 */
final class TakeClipped implements Check
{
    /** Samples at full scale that are heard (common practice). */
    private const HEARD = 20;

    public function looksAt(): array
    {
        return [Prompt::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach (TakesInUse::of($element) as $pointer => [$take, $script]) {
            if ($take->measures->clipped >= self::HEARD) {
                yield Finding::warning($element, $pointer, 'take-clipped', ['clipped' => $take->measures->clipped]);
            }
        }
    }
}
