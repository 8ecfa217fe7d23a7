<?php

declare(strict_types=1);

namespace Meandros\Core\Patterns;

use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Plan;

/** The step by which a call goes to somebody or somewhere. */
final class Leads
{
    /** @return array<string, mixed> */
    public static function to(Plan $plan, string $id, int $seconds = 20): array
    {
        $element = $plan->find($id);

        return match (true) {
            $element instanceof Journey => ['do' => 'go', 'journey' => $id],
            $element instanceof Queue => ['do' => 'queue', 'queue' => $id],
            $element instanceof Mailbox => ['do' => 'message', 'mailbox' => $id],
            default => ['do' => 'ring', 'target' => $id, 'seconds' => $seconds],
        };
    }

    /** @return list<array<string, mixed>> a message at the end, where a mailbox is chosen */
    public static function lastTo(?string $mailbox): array
    {
        return null === $mailbox ? [] : [['do' => 'message', 'mailbox' => $mailbox]];
    }
}
