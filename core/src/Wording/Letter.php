<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

/** An e-mail that a call sends. */
final readonly class Letter
{
    /**
     * @param int                                         $second of the call at which it is sent
     * @param list<string>                                $to     e-mail addresses
     * @param array{words: string, language: string}|null $spoken the sound that comes with it
     */
    public function __construct(
        public int $second,
        public array $to,
        public string $subject,
        public string $text,
        public ?array $spoken = null,
    ) {}
}
