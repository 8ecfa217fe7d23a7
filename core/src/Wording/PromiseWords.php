<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Plan\Element\Expectation;
use Meandros\Core\Plan\Element\WeekBand;
use Meandros\Core\Plan\Expected\EndsWith;
use Meandros\Core\Plan\Expected\ExpectedCalls;
use Meandros\Core\Plan\Expected\ExpectedTimes;
use Meandros\Core\Plan\Expected\Outcome;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Weekly;
use Meandros\Core\Time\TimeOfDay;

/** Promises as they are read aloud: "Calls to Freight from account customers · always · ring somebody within 40 s". */
final readonly class PromiseWords
{
    /** Numbers that are named; of more, how many there are. */
    private const NAMED = 3;

    private Names $names;
    private Catalog $catalog;

    public function __construct(private Plan $plan, private string $language = 'en')
    {
        $this->names = new Names($plan);
        $this->catalog = Catalog::of('promises', $language);
    }

    public function sentence(Expectation $expectation): string
    {
        return implode(' · ', $this->parts($expectation));
    }

    /** @return array{calls: string, when: string, promise: string} */
    public function parts(Expectation $expectation): array
    {
        return [
            'calls' => $this->calls($expectation->calls),
            'when' => $this->when($expectation->when),
            'promise' => $this->promise($expectation),
        ];
    }

    private function calls(ExpectedCalls $calls): string
    {
        $to = array_map($this->called(...), \array_slice($calls->to, 0, self::NAMED));
        $more = \count($calls->to) - \count($to);

        return $this->catalog->say('calls', [
            'to' => match (true) {
                [] === $to => $this->catalog->say('any-number'),
                $more > 0 => Listed::more(implode(', ', $to), $more, $this->language),
                default => Listed::words($to, 'and', $this->language),
            },
            'from' =>
                [] === $calls->from
                    ? 'anybody'
                    : Listed::words(array_map($this->names->of(...), $calls->from), 'and', $this->language),
            'keys' => match ($calls->keys) {
                null => 'any',
                [] => 'none',
                default => Listed::each($calls->keys, 'then', $this->language),
            },
        ]);
    }

    private function called(string $id): string
    {
        $name = $this->names->of($id);

        return Kind::Person === $this->plan->kindOf($id)
            ? $this->catalog->say('own-numbers', ['person' => $name])
            : $name;
    }

    private function when(ExpectedTimes $when): string
    {
        $parts = [];
        if (null !== $when->hours) {
            $parts[] = HoursWords::while($this->names, $when->hours, $when->states, $this->language);
        }
        if (null !== $when->calendar) {
            $parts[] = $this->catalog->say('holidays', ['calendar' => $this->names->of($when->calendar)]);
        }
        if ([] !== $when->windows) {
            $parts[] = implode(', ', array_map($this->window(...), $when->windows));
        }

        return [] === $parts ? $this->catalog->say('always') : implode(', ', $parts);
    }

    private function window(WeekBand $window): string
    {
        $later = intdiv($window->band->toSeconds - 1, TimeOfDay::DAY);

        return TimesWords::weekly(
            new Weekly(
                $window->days,
                $window->band->fromSeconds,
                $later,
                $window->band->toSeconds - $later * TimeOfDay::DAY,
                1,
            ),
            $this->language,
        );
    }

    private function promise(Expectation $expectation): string
    {
        $json = $expectation->promise->toJson();
        $that = \is_string($json['that'] ?? null) ? $json['that'] : '';
        $who = $json['who'] ?? null;
        $prompt = $json['prompt'] ?? null;
        $within = $json['within'] ?? null;
        $seconds = $json['seconds'] ?? null;

        return $this->catalog->say($that, [
            'who' => \is_string($who) ? $this->names->of($who) : 'somebody',
            'within' => \is_int($within) ? Duration::words($within) : 'whenever',
            'prompt' => \is_string($prompt) ? $this->names->of($prompt) : '',
            'seconds' => \is_int($seconds) ? Duration::words($seconds) : '',
            'outcomes' => $expectation->promise instanceof EndsWith ? $this->outcomes($expectation->promise) : '',
        ]);
    }

    private function outcomes(EndsWith $promise): string
    {
        return Listed::words(
            array_map(fn(Outcome $one): string => $this->catalog->say('outcome.' . $one->value), $promise->outcomes),
            'or',
            $this->language,
        );
    }
}
