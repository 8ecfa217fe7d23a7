<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\KeyPress;

/** What callers press on a way through a plan. */
final readonly class Presses
{
    /** Nothing is pressed at a menu: the key comes when none counts any more. */
    private const TOO_LATE = 600;

    /**
     * @param list<KeyPress>       $atMenus   one after the other
     * @param list<KeyPress>       $meanwhile at one step that heeds keys meanwhile after the other
     * @param array<int, KeyPress> $instead   of those that were said before to be pressed meanwhile, by place
     */
    public function __construct(
        public array $atMenus = [],
        public array $meanwhile = [],
        private array $instead = [],
    ) {}

    /** At a menu. */
    public static function nothing(): KeyPress
    {
        return new KeyPress('#', self::TOO_LATE);
    }

    /** Nothing is pressed anywhere. */
    public static function none(): self
    {
        /** @var self|null $none */
        static $none = null;

        return $none ??= new self();
    }

    public function isNothing(): bool
    {
        return [] === $this->atMenus && [] === $this->meanwhile && [] === $this->instead;
    }

    public function then(self $later): self
    {
        if ($later->isNothing()) {
            return $this;
        }
        $meanwhile = [...$this->meanwhile, ...$later->meanwhile];

        return new self(
            [...$this->atMenus, ...$later->atMenus],
            [] === $later->instead ? $meanwhile : array_values(array_replace($meanwhile, $later->instead)),
        );
    }

    /** As many as were asked for, as what is left over would be taken by a later step. */
    public function asked(int $atMenus, int $meanwhile): self
    {
        $isSo = \count($this->atMenus) === $atMenus && \count($this->meanwhile) === $meanwhile;

        return $isSo
            ? $this
            : new self(
                \array_slice([...$this->atMenus, ...array_fill(0, $atMenus, self::nothing())], 0, $atMenus),
                \array_slice([...$this->meanwhile, ...array_fill(0, $meanwhile, new KeyPress(''))], 0, $meanwhile),
            );
    }

    /** @return list<KeyPress> nothing at the last menus needs no saying */
    public function saidAtMenus(): array
    {
        $keys = $this->atMenus;
        while ([] !== $keys && self::TOO_LATE === $keys[\count($keys) - 1]->after) {
            array_pop($keys);
        }

        return $keys;
    }

    /** @return list<KeyPress> */
    public function saidMeanwhile(): array
    {
        $keys = $this->meanwhile;
        while ([] !== $keys && '' === $keys[\count($keys) - 1]->keys) {
            array_pop($keys);
        }

        return $keys;
    }

    /** How much has to be said. */
    public function count(): int
    {
        return \count($this->saidAtMenus()) + \count($this->saidMeanwhile());
    }

    /** Equal for two by which calls fare alike. */
    public function key(): string
    {
        $key = '';
        foreach ($this->saidAtMenus() as $one) {
            $key .= $one->keys . '@' . $one->after . ' ';
        }
        $key .= "\n";
        foreach ($this->saidMeanwhile() as $one) {
            $key .= $one->keys . '@' . $one->after . ' ';
        }

        return $key;
    }
}
