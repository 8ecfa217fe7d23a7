<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Expected;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** Callers hear a prompt, or as much of it as there is time for. */
final readonly class Hears implements Promise
{
    public const NAME = 'hears';

    public function __construct(public string $prompt) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['that', 'prompt']);

        return new self($in->field('prompt')->text(Limits::ID));
    }

    public function toJson(): array
    {
        return ['that' => self::NAME, 'prompt' => $this->prompt];
    }

    public function references(string $pointer): array
    {
        return [new Reference($this->prompt, $pointer . '/prompt', [Kind::Prompt], 'promises that it is heard')];
    }
}
