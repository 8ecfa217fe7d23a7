<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\EmailAddress;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** Whether messages are taken, how, and who is told of them. */
final readonly class MailboxMessages
{
    public const FIELDS = ['takesMessages', 'beep', 'longestSeconds', 'notify', 'withSound', 'transcript'];
    private const LONGEST = 180;

    /**
     * @param bool         $taken      otherwise its greeting is an announcement
     * @param bool         $beep       whether a beep is heard before the message
     * @param list<string> $notify     e-mail addresses
     * @param bool         $withSound  whether an e-mail brings the message itself
     * @param bool         $transcript whether it is written down
     */
    public function __construct(
        public bool $taken,
        public bool $beep,
        public int $longestSeconds,
        public array $notify,
        public bool $withSound,
        public bool $transcript,
    ) {}

    /** @param Input $in the whole mailbox */
    public static function fromJson(Input $in): self
    {
        return new self(
            $in->field('takesMessages')->flag(true),
            $in->field('beep')->flag(true),
            $in->field('longestSeconds')->whole(10, 600, 'seconds', self::LONGEST),
            EmailAddress::list($in->field('notify'), Limits::NOTIFY),
            $in->field('withSound')->flag(true),
            $in->field('transcript')->flag(false),
        );
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'takesMessages' => $this->taken,
            'beep' => $this->beep,
            'longestSeconds' => $this->longestSeconds,
            'notify' => $this->notify,
            'withSound' => $this->withSound,
            'transcript' => $this->transcript,
        ];
    }
}
