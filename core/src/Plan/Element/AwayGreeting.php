<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\LocalEnd;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;

/** What callers hear until a date, after which the usual greetings return by themselves. */
final readonly class AwayGreeting
{
    /** @param string $until on the wall clock of the owner's site: 2026-12-01T08:00 */
    public function __construct(public ?string $greeting, public string $until) {}

    public static function fromJson(Input $in): ?self
    {
        if (!$in->isGiven()) {
            return null;
        }
        $in->onlyFields(['greeting', 'until']);
        $until = LocalEnd::read($in->field('until'));
        null !== $until || $in->field('until')->isGiven() || $in->field('until')->complain('missing');

        return new self($in->field('greeting')->reference(), $until ?? '');
    }

    /** @return array{greeting: string|null, until: string} */
    public function toJson(): array
    {
        return ['greeting' => $this->greeting, 'until' => $this->until];
    }

    /** @return list<Reference> */
    public function references(): array
    {
        return null === $this->greeting
            ? []
            : [new Reference($this->greeting, '/away/greeting', [Kind::Prompt], 'greets with it for a while')];
    }
}
