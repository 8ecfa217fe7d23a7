<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\OutsideLine;
use Meandros\Core\Plan\Plan;

/** Tells numbers of a plan apart to which calls may fare differently, but for the label that is shown. */
final class Alike
{
    /** @var array<string, true>|null sites with outside lines, by id; found when they are first wanted */
    private ?array $withLines = null;
    /** @var array<string, string> what matters of a site, by id */
    private array $places = [];

    public function __construct(private readonly Plan $plan) {}

    /** Equal for numbers to which calls fare the same. */
    public function of(Number $number): string
    {
        return null === $number->range->block
            ? serialize([
                $number->target,
                ($this->places[$number->line->site] ??= $this->place($number->line->site)),
                $number->line->language,
                $number->line->tellsCaller,
                $number->line->keptUntil,
            ])
            : $number->id();
    }

    /** Calls come in by the lines of a site, and leave by these first; of a site without, only the clock matters. */
    private function place(string $site): string
    {
        if (null === $this->withLines) {
            $this->withLines = [];
            foreach ($this->plan->all(OutsideLine::class) as $line) {
                $this->withLines[$line->site] = true;
            }
        }

        return isset($this->withLines[$site]) ? $site : $this->plan->zoneOf($site);
    }
}
