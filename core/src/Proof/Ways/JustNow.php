<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\PhoneAssumption;

/** What phones did in the very second in which calls come to a place: if they are rung there at once, they do so still. */
final readonly class JustNow
{
    /**
     * @param array<string, PhoneAssumption> $did      by phone
     * @param array<string, int>             $reached  phones that could be reached, and did nothing
     * @param array<string, list<string>>    $together with which others phones rang together
     */
    public function __construct(public array $did = [], public array $reached = [], public array $together = []) {}

    /** Both in one second. */
    public function after(self $before): self
    {
        return $before->isNothing()
            ? $this
            : new self(
                $this->did + $before->did,
                $this->reached + $before->reached,
                $this->together + $before->together,
            );
    }

    /** @param array<string, true> $who may still be rung */
    public function of(array $who): self
    {
        $mayRing = static fn(string $phone): bool => isset($who[explode('/', $phone)[0]]);

        return new self(
            array_filter($this->did, $mayRing, \ARRAY_FILTER_USE_KEY),
            array_filter($this->reached, $mayRing, \ARRAY_FILTER_USE_KEY),
            $this->together,
        );
    }

    public function isNothing(): bool
    {
        return [] === $this->did && [] === $this->reached && [] === $this->together;
    }

    /** @return array<string, true> owners of phones, and numbers outside */
    public function who(): array
    {
        $who = [];
        foreach ($this->did + $this->reached as $phone => $_) {
            $who[explode('/', (string) $phone)[0]] = true;
        }

        return $who;
    }

    /** Equal where phones did the same. */
    public function key(): string
    {
        if ([] === $this->did && [] === $this->reached) {
            return '';
        }
        [$did, $reached] = [$this->did, array_keys($this->reached)];
        ksort($did);
        sort($reached);

        $key = implode(' ', $reached);
        foreach ($did as $phone => $one) {
            $key .= "\n" . $phone . ' ' . $one->does->value . ' ' . $one->afterSeconds;
        }

        return $key;
    }
}
