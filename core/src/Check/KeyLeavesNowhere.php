<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Mailbox;

/**
 * A key that leaves a mailbox for nobody.
 *
 * @implements Check<Mailbox>
 */
final class KeyLeavesNowhere implements Check
{
    public function looksAt(): array
    {
        return [Mailbox::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        if (null !== $element->keys->leave && null === $element->keys->leaveTo) {
            yield Finding::warning($element, '/keys/leaveTo', 'key-leaves-nowhere', ['key' => $element->keys->leave]);
        }
    }
}
