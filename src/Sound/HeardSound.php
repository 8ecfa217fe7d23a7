<?php

declare(strict_types=1);

namespace Meandros\Server\Sound;

use Meandros\Core\Plan\Element\Sound;

/** What is heard of a prompt, piece by piece. */
final readonly class HeardSound
{
    /** @param list<array{string, Sound, bool}> $pieces words, how they sound, and whether that is a take */
    public function __construct(private string $language, private array $pieces) {}

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'language' => $this->language,
            'milliseconds' => array_sum(array_map(static fn(array $one): int => $one[1]->milliseconds, $this->pieces)),
            'pieces' => array_map(
                static fn(array $one): array => [
                    'words' => $one[0],
                    'from' => $one[2] ? 'take' : 'machine',
                    ...$one[1]->toJson(),
                ],
                $this->pieces,
            ),
        ];
    }
}
