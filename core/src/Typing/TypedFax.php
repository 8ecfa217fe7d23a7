<?php

declare(strict_types=1);

namespace Meandros\Core\Typing;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\FaxStep;

/** Listen for a fax. */
final class TypedFax implements TypedKind
{
    public function begins(): string
    {
        return 'fax(?: to)?';
    }

    public function example(): string
    {
        return 'fax …';
    }

    public function read(Line $line): ?array
    {
        $mailbox = $line->name([Kind::Mailbox], ['(?:for )?\\d+ ?s(?:ec(?:onds)?)?', 'hearing']);
        if (null === $mailbox) {
            return null;
        }
        $seconds = $line->seconds();
        $prompt = null === $line->take('hearing') ? null : $line->name([Kind::Prompt]);

        return ['do' => 'fax', 'mailbox' => $mailbox, 'prompt' => $prompt] +
            (null === $seconds ? [] : ['seconds' => $seconds]);
    }

    public function write(Step $step, Plan $plan): ?string
    {
        if (!($step instanceof FaxStep)) {
            return null;
        }

        return \sprintf(
            'fax %s %ds%s',
            $plan->find($step->mailbox)?->name(),
            $step->seconds,
            null === $step->prompt ? '' : ' hearing ' . $plan->find($step->prompt)?->name(),
        );
    }
}
