<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Target;
use Meandros\Core\Routing\Happening\CodeDialled;

/** What people call the things that a trace mentions by id, and why those are as they are. */
final class Names
{
    /** @var array<string, array{id: string, kind: string, name: string, why: string}> why elements are as they are, by id, as they are named */
    private array $explained = [];
    /** @var array<string, array<string, string>> why steps are there, by journey and step; of those of which somebody said so */
    private array $steps = [];
    /** How many of them were told. */
    private int $told = 0;

    public function __construct(private readonly Plan $plan) {}

    public function of(?string $id): string
    {
        if (null === $id) {
            return 'nobody';
        }

        if (str_starts_with($id, '+')) {
            return PhoneNumber::international($id);
        }
        $element = $this->plan->find($id);
        if (null !== $element && '' !== $element->about()->why) {
            $about = $element->about();
            $this->explained[$id] ??= [
                'id' => $id,
                'kind' => $element->kind()->value,
                'name' => $about->name,
                'why' => $about->why,
            ];
        }

        return $element?->name() ?? $id;
    }

    /** A call comes to a step. */
    public function come(string $journey, string $step): void
    {
        $this->of($journey);
        $this->steps[$journey] ??= $this->stepsOf($journey);
        $why = $this->steps[$journey][$step] ?? null;
        if (null !== $why) {
            $this->explained["$journey $step"] ??= ['id' => $step, 'kind' => 'step', 'name' => '', 'why' => $why];
        }
    }

    /** @return array<string, string> */
    private function stepsOf(string $journey): array
    {
        $whys = [];
        foreach ($this->plan->get(Journey::class, $journey)?->steps->everyStep('') ?? [] as $step) {
            '' === $step->why() || ($whys[$step->id()] = $step->why());
        }

        return $whys;
    }

    /** @return list<array{id: string, kind: string, name: string, why: string}> of what is named, or come to, for the first time since this was asked; a step has no name */
    public function whys(): array
    {
        $new = \array_slice(array_values($this->explained), $this->told);
        $this->told = \count($this->explained);

        return $new;
    }

    public function target(?Target $target): string
    {
        return $this->of($target->number ?? $target?->element);
    }

    public function kind(string $id): ?Kind
    {
        return $this->plan->kindOf($id);
    }

    public function state(string $hours, string $key): string
    {
        return $this->plan->get(Hours::class, $hours)?->states->nameOf($key) ?? $key;
    }

    /** What a code does. */
    public function code(CodeDialled $dialled): string
    {
        $hours = $this->of($dialled->hours);

        return match (true) {
            !$dialled->allowed => \sprintf('tries to force %s from outside', $hours),
            null === $dialled->code->state => \sprintf('lifts what is forced on %s', $hours),
            default => \sprintf('forces %s into “%s”', $hours, $this->state($dialled->hours, $dialled->code->state)),
        };
    }
}
