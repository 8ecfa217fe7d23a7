<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** Sends the call on to a number outside, for good. The exits are for calls that do not get through. */
final readonly class ForwardStep implements Step
{
    use AsksSomebody;
    use OfAStep;

    public const BUSY = 'busy';
    public const UNREACHABLE = 'unreachable';
    /** No outside line may carry the call, or all channels are taken. */
    public const NOT_CARRIED = 'not carried';

    /**
     * @param string|null $number E.164
     * @param string|null $line   an outside line; null for whichever may carry the call
     * @param string|null $shows  the number of ours that is shown; null for the caller's
     * @param string      $digits sent when it is answered, such as an extension there; a comma is a pause
     */
    public function __construct(
        private AboutStep $about,
        public ?string $number,
        public ?string $line,
        public ?string $shows,
        private Exits $exits,
        public string $digits,
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...AboutStep::FIELDS, 'number', 'line', 'shows', 'digits', 'exits']);
        $number = $in->field('number');

        return new self(
            AboutStep::fromJson($in),
            $number->isGiven() && '' !== $number->optionalExactText(20) ? PhoneNumber::readE164($number) : null,
            $in->field('line')->reference(),
            $in->field('shows')->reference(),
            Exits::fromJson($in->field('exits'), [self::BUSY, self::UNREACHABLE, self::NOT_CARRIED]),
            self::digits($in->field('digits')),
        );
    }

    private static function digits(Input $in): string
    {
        $digits = $in->optionalExactText(30);
        if (1 !== preg_match('/^[0-9*#,]*$/D', $digits)) {
            $in->complain('keys-not-sent', ['digits' => Input::quote($digits)]);
        }

        return $digits;
    }

    public function exits(): Exits
    {
        return $this->exits;
    }

    public function toJson(): array
    {
        return [
            ...$this->about->toJson('forward'),
            'number' => $this->number,
            'line' => $this->line,
            'shows' => $this->shows,
            'digits' => $this->digits,
            'exits' => $this->exits->toJson(),
        ];
    }

    public function references(string $pointer): array
    {
        $references = [];
        if (null !== $this->line) {
            $references[] = new Reference($this->line, $pointer . '/line', [Kind::Line], 'sends calls on by it');
        }
        if (null !== $this->shows) {
            $references[] = new Reference(
                $this->shows,
                $pointer . '/shows',
                [Kind::Number],
                'shows it where calls are sent on',
            );
        }

        return $references;
    }

    public function unfinished(): ?string
    {
        return null === $this->number ? 'number' : null;
    }

    public function takenBy(): ?string
    {
        return $this->number;
    }

    public function waysOn(Plan $plan): array
    {
        return [self::BUSY => 0, self::UNREACHABLE => 0, self::NOT_CARRIED => 0];
    }
}
