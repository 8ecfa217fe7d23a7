<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Mailbox;

/**
 * A mailbox that only makes announcements, and has none.
 *
 * @implements Check<Mailbox>
 */
final class MailboxSaysNothing implements Check
{
    public function looksAt(): array
    {
        return [Mailbox::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        if (!$element->messages->taken && null === $element->greetings->heard(null, false)[0]) {
            yield Finding::warning($element, '/greeting', 'mailbox-says-nothing');
        }
    }
}
