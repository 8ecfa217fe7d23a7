<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Target;
use Meandros\Core\Reading\Input;

/** Where a call goes from an answering rule when nobody answers, all are busy, or none can be reached. */
final readonly class RuleOutcome
{
    private const NAMES = ['nobody', 'busy', 'unreachable'];

    /**
     * @param Target|null $to       what takes calls, a number or the end; null to go on where the call came from
     * @param string|null $greeting the prompt that callers hear before their message; null for the mailbox's own
     */
    public function __construct(public ?Target $to = null, public ?string $greeting = null) {}

    /** @return array<string, self> by outcome, from the fields "next" and "greetings" of a rule */
    public static function all(Input $rule): array
    {
        foreach (['next', 'greetings'] as $field) {
            $rule->field($field)->isGiven() && $rule->field($field)->onlyFields(self::NAMES);
        }
        $all = [];
        foreach (self::NAMES as $name) {
            $all[$name] = new self(
                Target::readOrEnd($rule->field('next')->field($name)),
                $rule->field('greetings')->field($name)->reference(),
            );
        }

        return $all;
    }

    /** @return list<Reference> */
    public function references(string $rule, string $name): array
    {
        $references =
            $this->to?->references(
                \sprintf('%s/next/%s', $rule, $name),
                Kind::takingCalls(),
                'passes calls on to it',
            ) ?? [];
        if (null !== $this->greeting) {
            $references[] = new Reference(
                $this->greeting,
                \sprintf('%s/greetings/%s', $rule, $name),
                [Kind::Prompt],
                'greets with it',
            );
        }

        return $references;
    }
}
