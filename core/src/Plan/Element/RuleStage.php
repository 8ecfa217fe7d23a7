<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Json\Input;

/** Phones of a person that ring together, from some seconds after the rule begins, for so many seconds. */
final readonly class RuleStage
{
    /** @param non-empty-list<string> $phones ids within the person */
    public function __construct(public array $phones, public int $after, public int $seconds)
    {
    }

    /** @param list<string> $known ids of the person's phones */
    public static function fromJson(Input $in, array $known): ?self
    {
        $in->onlyFields(['phones', 'after', 'seconds']);
        $phones = [];
        foreach ($in->field('phones')->items() as $item) {
            $phone = $item->text(64);
            if (!\in_array($phone, $known, true)) {
                $item->complain(\sprintf('There is no phone "%s".', $phone), [] === $known ? 'Add a phone first.' : 'Choose one of: '.implode(', ', $known).'.');
            }
            $phones[$phone] = $phone;
        }
        if ([] === $phones) {
            $in->field('phones')->complain('This stage rings no phone.', 'Choose one, or remove the stage.');
        }
        $after = $in->field('after')->whole(0, 600, 'seconds', 0);
        $seconds = $in->field('seconds')->whole(1, 600, 'seconds', 20);

        return [] === $phones ? null : new self(array_values($phones), $after, $seconds);
    }

    /** @return array{phones: list<string>, after: int, seconds: int} */
    public function toJson(): array
    {
        return ['phones' => $this->phones, 'after' => $this->after, 'seconds' => $this->seconds];
    }
}
