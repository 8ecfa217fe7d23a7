<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;

/** A sound that is kept elsewhere: mono, 8 kHz, 16-bit PCM in WAV. */
final readonly class Sound
{
    public const RATE = 8000;
    public const MOST_MILLISECONDS = 900_000;

    /** @param string $sha256 of its bytes, in hexadecimal */
    public function __construct(public string $sha256, public int $milliseconds) {}

    /** @param Input $in what it is a sound of; its fields are `sound` and `milliseconds` */
    public static function fromJson(Input $in): self
    {
        $sha256 = $in->field('sound')->exactText(64);
        if (1 !== preg_match('/^[0-9a-f]{64}$/D', $sha256)) {
            $in->field('sound')->complain('not-a-sound', ['sound' => Input::quote($sha256)]);
        }

        return new self($sha256, $in->field('milliseconds')->whole(1, self::MOST_MILLISECONDS, 'milliseconds'));
    }

    /** Rounded up: a caller hears it to its end. */
    public function seconds(): int
    {
        return intdiv($this->milliseconds + 999, 1000);
    }

    /** @return array{sound: string, milliseconds: int} */
    public function toJson(): array
    {
        return ['sound' => $this->sha256, 'milliseconds' => $this->milliseconds];
    }
}
