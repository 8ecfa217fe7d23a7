<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** Lets the call wait at a place until somebody dials that place, or for so long. */
final readonly class ParkStep implements Step
{
    use AsksSomebody;
    use OfAStep;

    public const NOT_TAKEN = 'not taken';
    public const NONE_FREE = 'none free';
    private const DEFAULT_SECONDS = 120;

    /**
     * @param string|null $site    whose places they are
     * @param string      $place   one of them; empty for the first that is free
     * @param int         $seconds for which it waits; 0 until it is taken
     * @param string|null $prompt  heard meanwhile, again and again
     */
    public function __construct(
        private AboutStep $about,
        public ?string $site,
        public string $place,
        public int $seconds,
        public ?string $prompt,
        private Exits $exits,
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...AboutStep::FIELDS, 'site', 'place', 'seconds', 'prompt', 'exits']);

        return new self(
            AboutStep::fromJson($in),
            $in->field('site')->reference(),
            self::placeOf($in->field('place')),
            $in->field('seconds')->whole(0, 7200, 'seconds', self::DEFAULT_SECONDS),
            $in->field('prompt')->reference(),
            Exits::fromJson($in->field('exits'), [self::NOT_TAKEN, self::NONE_FREE]),
        );
    }

    private static function placeOf(Input $in): string
    {
        $place = $in->optionalExactText(6);
        if (1 !== preg_match('/^([0-9]{2,6})?$/D', $place)) {
            $in->complain('not-a-park-place', ['place' => Input::quote($place)]);
        }

        return $place;
    }

    public function exits(): Exits
    {
        return $this->exits;
    }

    public function toJson(): array
    {
        return [
            ...$this->about->toJson('park'),
            'site' => $this->site,
            'place' => $this->place,
            'seconds' => $this->seconds,
            'prompt' => $this->prompt,
            'exits' => $this->exits->toJson(),
        ];
    }

    public function references(string $pointer): array
    {
        $references = [];
        if (null !== $this->site) {
            $references[] = new Reference($this->site, $pointer . '/site', [Kind::Site], 'parks calls there');
        }
        if (null !== $this->prompt) {
            $references[] = new Reference(
                $this->prompt,
                $pointer . '/prompt',
                [Kind::Prompt],
                'plays it to parked calls',
            );
        }

        return $references;
    }

    public function unfinished(): ?string
    {
        return null === $this->site ? 'site' : null;
    }

    public function takenBy(): ?string
    {
        return $this->site;
    }

    public function waysOn(Plan $plan): array
    {
        return [self::NONE_FREE => 0] + (0 === $this->seconds ? [] : [self::NOT_TAKEN => $this->seconds]);
    }
}
