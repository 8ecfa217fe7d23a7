<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\EmailAddress;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** The share of calls that is to be answered within so many seconds, and who is told when somebody waits for too long. */
final readonly class ServicePromise
{
    /**
     * @param int          $shortSeconds  calls given up within so many seconds do not count against the promise; 0 where all do
     * @param int|null     $noticeSeconds the longest wait that is tolerated: a notice is sent when somebody waits for so long; null for none
     * @param list<string> $notify        e-mail addresses that it goes to
     */
    public function __construct(
        public int $percent = 80,
        public int $seconds = 20,
        public int $shortSeconds = 0,
        public ?int $noticeSeconds = null,
        public array $notify = [],
    ) {}

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields(['percent', 'seconds', 'shortSeconds', 'noticeSeconds', 'notify']);
        $usual = new self();

        return new self(
            $in->field('percent')->whole(1, 100, 'percent', $usual->percent),
            $in->field('seconds')->whole(0, 3600, 'seconds', $usual->seconds),
            $in->field('shortSeconds')->whole(0, 120, 'seconds', $usual->shortSeconds),
            $in->field('noticeSeconds')->optionalWhole(1, QueueWaiting::MOST_SECONDS, 'seconds'),
            EmailAddress::list($in->field('notify'), Limits::NOTIFY),
        );
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'percent' => $this->percent,
            'seconds' => $this->seconds,
            'shortSeconds' => $this->shortSeconds,
            'noticeSeconds' => $this->noticeSeconds,
            'notify' => $this->notify,
        ];
    }
}
