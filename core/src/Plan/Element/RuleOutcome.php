<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Json\Input;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;

/** Where a call goes from an answering rule when nobody answers, all are busy, or none can be reached. */
final readonly class RuleOutcome
{
    /** In place of an id, which has no space. */
    public const END = 'end the call';
    private const NAMES = ['nobody', 'busy', 'unreachable'];

    /**
     * @param string|null $to       a mailbox, person, team or journey by id, a number in E.164, or "end the call"; null to go
     *                              on where the call came from
     * @param string|null $greeting the prompt that callers hear before their message; null for the mailbox's own
     */
    public function __construct(public ?string $to = null, public ?string $greeting = null)
    {
    }

    /** @return array<string, self> by outcome, from the fields "next" and "greetings" of a rule */
    public static function all(Input $rule): array
    {
        foreach (['next', 'greetings'] as $field) {
            $rule->field($field)->isGiven() && $rule->field($field)->onlyFields(self::NAMES);
        }
        $all = [];
        foreach (self::NAMES as $name) {
            $in = $rule->field('next')->field($name);
            $to = $in->reference();
            if (null !== $to && 1 === preg_match('/^[+0-9]/', $to)) {
                $to = PhoneNumber::readE164($in);
            }
            $all[$name] = new self($to, $rule->field('greetings')->field($name)->reference());
        }

        return $all;
    }

    public function isOutside(): bool
    {
        return null !== $this->to && str_starts_with($this->to, '+');
    }

    /** The id of the element that the call goes to; null where it goes elsewhere. */
    public function element(): ?string
    {
        return self::END === $this->to || $this->isOutside() ? null : $this->to;
    }

    /** @return list<Reference> */
    public function references(string $rule, string $name): array
    {
        $references = [];
        if (null !== $this->element()) {
            $references[] = new Reference($this->element(), \sprintf('%s/next/%s', $rule, $name), [Kind::Mailbox, Kind::Person, Kind::Team, Kind::Journey], 'passes calls on to it');
        }
        if (null !== $this->greeting) {
            $references[] = new Reference($this->greeting, \sprintf('%s/greetings/%s', $rule, $name), [Kind::Prompt], 'greets with it');
        }

        return $references;
    }
}
