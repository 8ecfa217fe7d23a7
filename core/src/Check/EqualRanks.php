<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Element\QueueMember;
use Meandros\Core\Plan\Kind;

/**
 * An agent in two queues of the same rank: whose callers come first is anybody's guess.
 *
 * @implements Check<Queue>
 */
final class EqualRanks implements Check
{
    public function looksAt(): array
    {
        return [Queue::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->agents->asked() as $member) {
            foreach ($survey->plan->mentioning($member->who, Kind::Queue) as $other) {
                if (
                    $other instanceof Queue &&
                    $other->id() !== $element->id() &&
                    $other->rank === $element->rank &&
                    isset(self::agents($other)[$member->who])
                ) {
                    $free = $element->rank < Queue::MOST_RANKS ? $element->rank + 1 : $element->rank - 1;
                    $agent = $survey->plan->nameOf($member->who);
                    yield Finding::warning(
                        $element,
                        '/rank',
                        'equal-ranks',
                        ['agent' => $agent, 'other' => $other->name(), 'rank' => $element->rank],
                        Fix::replace($element, '/rank', $free, [
                            'free' => $free,
                            'comes' => $free > $element->rank ? 'after' : 'before',
                        ]),
                    );

                    return;
                }
            }
        }
    }

    /** @return array<string, int> those who are on, by person */
    private static function agents(Queue $queue): array
    {
        return array_flip(array_map(static fn(QueueMember $member): string => $member->who, $queue->agents->asked()));
    }
}
