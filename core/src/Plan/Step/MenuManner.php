<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;

/** How a menu treats callers: whether keys count while it speaks, and what they hear when it asks again. */
final readonly class MenuManner
{
    /**
     * @param bool        $duringPrompt whether keys count while the prompt plays; off for words that must be heard
     * @param string|null $second       a prompt in place of its own when it asks again; null for the same
     * @param string|null $wrong        the same after a key that leads nowhere
     */
    public function __construct(public bool $duringPrompt = true, public ?string $second = null, public ?string $wrong = null)
    {
    }

    /** @param Input $step with the fields "duringPrompt", "secondPrompt" and "wrongPrompt" */
    public static function fromJson(Input $step): self
    {
        return new self($step->field('duringPrompt')->flag(true), $step->field('secondPrompt')->reference(), $step->field('wrongPrompt')->reference());
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return ['duringPrompt' => $this->duringPrompt, 'secondPrompt' => $this->second, 'wrongPrompt' => $this->wrong];
    }

    /** @return list<Reference> */
    public function references(string $pointer): array
    {
        $references = [];
        if (null !== $this->second) {
            $references[] = new Reference($this->second, $pointer.'/secondPrompt', [Kind::Prompt], 'asks again with it');
        }
        if (null !== $this->wrong) {
            $references[] = new Reference($this->wrong, $pointer.'/wrongPrompt', [Kind::Prompt], 'asks with it after a wrong key');
        }

        return $references;
    }
}
