<?php

declare(strict_types=1);

namespace Meandros\Core\Tests;

use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Wording\ProblemWords;

/** What becomes of a field where something stands in it that may not belong there, told. */
final class Tried
{
    private const VALUES = [
        null,
        true,
        -1,
        1,
        1.5,
        1_000_000_000,
        '',
        ' x ',
        'x',
        'ex am/ple',
        '+44',
        '08:61',
        '2026-02-30',
        [],
        ['x'],
        [[]],
        ['x' => 1],
    ];

    /** @var array<string, string> of what was refused, by code */
    private array $words = [];

    /** @param \Closure(array<mixed>): ?array<mixed> $read what is kept of data, where that can be told; refuses what is wrong */
    public function __construct(private readonly \Closure $read) {}

    /** @param array<mixed> $whole */
    public function at(array $whole, string $pointer): string
    {
        $data = self::get($whole, $pointer);
        $isList = \is_array($data) && array_is_list($data) && [] !== $data;
        $said = [];
        1 === preg_match('~/\D[^/]*$~', $pointer) && ($said[$this->leftOut($whole, $pointer)][] = 'left out');
        foreach ([...self::VALUES, ...$isList ? [[...$data, ...$data], array_reverse($data)] : []] as $value) {
            $shown = $isList && \is_array($value) && \count($value) >= \count($data) ? '…' : Told::json($value);
            $said[$this->with($value, $whole, $pointer, '…' === $shown)][] = $shown;
        }
        $told = '';
        foreach ($said as $what => $values) {
            $told .= implode('  ', $values) . "\n    " . $what . "\n";
        }

        return $told;
    }

    /** @param array<mixed> $whole */
    private function with(mixed $value, array $whole, string $pointer, bool $isLong): string
    {
        try {
            $kept = ($this->read)(self::put($whole, $pointer, $value));
            $kept = null === $kept ? $value : self::get($kept, $pointer);

            return $isLong || $kept === $value ? 'taken' : 'taken as ' . Told::json($kept);
        } catch (InvalidData $invalid) {
            return $this->refused($invalid, $pointer);
        }
    }

    /** @param array<mixed> $whole */
    private function leftOut(array $whole, string $pointer): string
    {
        try {
            $kept = ($this->read)(self::put($whole, $pointer, null, true));

            return null === $kept ? 'taken' : 'taken as ' . Told::json(self::get($kept, $pointer));
        } catch (InvalidData $invalid) {
            return $this->refused($invalid, $pointer);
        }
    }

    /** The words of all that was refused. */
    public function words(): string
    {
        ksort($this->words);

        return implode(
            '',
            array_map(
                static fn(string $code, string $words): string => "{$code}: {$words}\n",
                array_keys($this->words),
                $this->words,
            ),
        );
    }

    /** What stands in the field itself is not said again. */
    private function refused(InvalidData $invalid, string $pointer): string
    {
        foreach ($invalid->problems as $problem) {
            $this->words[$problem->code] ??= ProblemWords::both($problem);
        }
        $said = array_map(static fn(Problem $one): string => $one->summary(), $invalid->problems);

        return implode(', ', array_unique(str_replace($pointer, '.', $said)));
    }

    public static function get(mixed $data, string $pointer): mixed
    {
        foreach (\array_slice(explode('/', $pointer), 1) as $name) {
            $data = $data[$name] ?? null;
        }

        return $data;
    }

    /**
     * @param array<mixed> $data
     *
     * @return array<mixed> with a value at a place, or without the place
     */
    public static function put(array $data, string $pointer, mixed $value, bool $isLeftOut = false): array
    {
        $part = &$data;
        $names = \array_slice(explode('/', $pointer), 1);
        $last = array_pop($names);
        foreach ($names as $name) {
            $part = &$part[$name];
        }
        if ($isLeftOut) {
            unset($part[$last]);
        } else {
            $part[$last] = $value;
        }

        return $data;
    }
}
