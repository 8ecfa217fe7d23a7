<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Call\Keypad;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Target;
use Meandros\Core\Reading\Input;
use Meandros\Core\Value\Lists;

/** What keys do that are pressed while a greeting plays. */
final readonly class MailboxKeys
{
    /** Common practice. */
    public const SKIP = '#';

    /**
     * @param string|null $skip    cuts the greeting short
     * @param string|null $leave   leaves the mailbox for somebody
     * @param Target|null $leaveTo who takes the call then
     * @param string      $listen  the keys with which owners listen to their messages from outside; empty where they cannot
     */
    public function __construct(
        public ?string $skip = self::SKIP,
        public ?string $leave = null,
        public ?Target $leaveTo = null,
        public string $listen = '',
    ) {}

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields(['skip', 'leave', 'leaveTo', 'listen']);
        $keys = new self(
            $in->field('skip')->isNamed() ? self::key($in->field('skip')) : self::SKIP,
            self::key($in->field('leave')),
            Target::readOrEnd($in->field('leaveTo')),
            $in->field('listen')->optionalExactText(4),
        );
        if (1 !== preg_match('/^([0-9*#]{2,4})?$/D', $keys->listen)) {
            $in->field('listen')->complain('not-a-listening-code', ['keys' => Input::quote($keys->listen)]);
        }
        if (null !== $keys->skip && $keys->skip === $keys->leave) {
            $in->field('leave')->complain('key-twice', ['key' => $keys->leave]);
        }

        return $keys;
    }

    private static function key(Input $in): ?string
    {
        if (!$in->isGiven()) {
            return null;
        }
        $key = $in->exactText(1);
        if (!Lists::has(Keypad::KEYS, $key)) {
            $in->complain('not-a-menu-key', ['key' => Input::quote($key)]);
        }

        return $key;
    }

    /** @return array{skip: string|null, leave: string|null, leaveTo: string|null, listen: string} */
    public function toJson(): array
    {
        return [
            'skip' => $this->skip,
            'leave' => $this->leave,
            'leaveTo' => $this->leaveTo?->text(),
            'listen' => $this->listen,
        ];
    }

    /** @return list<Reference> */
    public function references(): array
    {
        return $this->leaveTo?->references('/keys/leaveTo', Kind::takingCalls(), 'sends callers to it') ?? [];
    }
}
