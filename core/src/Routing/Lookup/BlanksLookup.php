<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Lookup;

use Meandros\Core\Filling\Fillers;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\PlanHours;

/** What fills the blanks of a prompt that is heard at a second of the call, and how long that makes it. */
final readonly class BlanksLookup implements Lookup
{
    public function __construct(
        private Prompt $prompt,
        private string $language,
        private CallFacts $facts,
        private int $second,
    ) {}

    /** Finds the seconds for which it is heard: other words of the same length make no other call. */
    public function at(int $instant, PlanHours $hours): Found
    {
        $found = $this->look($instant, $hours);

        return new Found(
            (string) $this->prompt->seconds($this->language, $found[0]),
            null === $found[1]->since ? null : $found[1]->since - $this->second,
            null === $found[1]->until ? null : $found[1]->until - $this->second,
        );
    }

    /** @return array{array<string, string>, FactsAt} words by blank, and the facts they are made from */
    public function look(int $instant, PlanHours $hours): array
    {
        $facts = new FactsAt($this->facts, $hours, $instant + $this->second);

        return [Fillers::fill($this->prompt->script($this->language), $this->language, $facts), $facts];
    }
}
