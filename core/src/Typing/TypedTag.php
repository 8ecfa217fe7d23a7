<?php

declare(strict_types=1);

namespace Meandros\Core\Typing;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\TagStep;

/** Change what the call carries. */
final class TypedTag implements TypedKind
{
    public function begins(): string
    {
        return 'tag';
    }

    public function example(): string
    {
        return 'tag …';
    }

    public function read(Line $line): ?array
    {
        $tag = ['do' => 'tag'];
        while (!$line->isOver()) {
            if (null !== ($found = $line->take('in ([a-z]{2})'))) {
                $tag['language'] = strtolower($found[1]);
            } elseif (null !== ($found = $line->take('(urgent|usual|can wait)'))) {
                $tag['urgency'] = strtolower($found[1]);
            } elseif (null !== ($found = $line->take('(tone|note|as) ([^,]+)'))) {
                $tag['as' === strtolower($found[1]) ? 'label' : strtolower($found[1])] = trim($found[2]);
            } elseif (!isset($tag['label']) && null !== ($found = $line->take('([^,]+)'))) {
                $tag['label'] = trim($found[1]);
            } else {
                return null;
            }
        }

        return ['do' => 'tag'] === $tag ? null : $tag;
    }

    public function write(Step $step, Plan $plan): ?string
    {
        if (!($step instanceof TagStep)) {
            return null;
        }
        $tag = $step->tag;
        $parts = [
            null === $tag->label ? null : 'as ' . $tag->label,
            null === $tag->language ? null : 'in ' . $tag->language,
            $tag->urgency?->value,
            null === $tag->tone ? null : 'tone ' . $tag->tone,
            null === $tag->note ? null : 'note ' . $tag->note,
        ];

        return 'tag ' . implode(', ', array_filter($parts));
    }
}
