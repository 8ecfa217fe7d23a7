<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Mailbox;

/**
 * Messages that nobody listens to.
 *
 * @implements Check<Mailbox>
 */
final class MailboxForNobody implements Check
{
    public function looksAt(): array
    {
        return [Mailbox::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        if ($element->messages->taken && [] === $element->owners && [] === $element->messages->notify) {
            yield Finding::warning($element, '/owners', 'mailbox-for-nobody');
        }
    }
}
