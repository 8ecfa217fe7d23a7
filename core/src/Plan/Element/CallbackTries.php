<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;

/** How callers are called back: how often, for how long, by which line and from which number. */
final readonly class CallbackTries
{
    /**
     * @param int         $tries        calls in all
     * @param int         $pauseSeconds between two of them
     * @param int         $ringSeconds  for which each rings
     * @param string|null $line         an outside line; null for whichever may carry the call
     * @param string|null $shows        the number of ours that callers see; null for the one that they dialled
     */
    public function __construct(
        public int $tries = 2,
        public int $pauseSeconds = 300,
        public int $ringSeconds = 30,
        public ?string $line = null,
        public ?string $shows = null,
    ) {}

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields(['tries', 'pauseSeconds', 'ringSeconds', 'line', 'shows']);
        $usual = new self();

        return new self(
            $in->field('tries')->whole(1, 9, 'calls', $usual->tries),
            $in->field('pauseSeconds')->whole(0, 3600, 'seconds', $usual->pauseSeconds),
            $in->field('ringSeconds')->whole(5, 120, 'seconds', $usual->ringSeconds),
            $in->field('line')->reference(),
            $in->field('shows')->reference(),
        );
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'tries' => $this->tries,
            'pauseSeconds' => $this->pauseSeconds,
            'ringSeconds' => $this->ringSeconds,
            'line' => $this->line,
            'shows' => $this->shows,
        ];
    }

    /** @return list<Reference> */
    public function references(string $pointer): array
    {
        $references = [];
        if (null !== $this->line) {
            $references[] = new Reference($this->line, $pointer . '/line', [Kind::Line], 'calls back by it');
        }
        if (null !== $this->shows) {
            $references[] = new Reference(
                $this->shows,
                $pointer . '/shows',
                [Kind::Number],
                'shows it to whoever is called back',
            );
        }

        return $references;
    }
}
