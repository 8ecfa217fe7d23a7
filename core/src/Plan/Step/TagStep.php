<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Call\Tag;
use Meandros\Core\Call\Urgency;
use Meandros\Core\Plan\Language;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** Changes what the call carries from here on: what the answerer sees and hears of it, its language, its urgency in queues. */
final readonly class TagStep implements Step
{
    use OfAStep;
    use PassedUnasked;
    use WithoutExits;

    public function __construct(private AboutStep $about, public Tag $tag) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...AboutStep::FIELDS, 'label', 'language', 'urgency', 'tone', 'note']);
        $urgency = $in->field('urgency');
        /** @var Urgency|null $given */
        $given = $urgency->isGiven() ? $urgency->oneOf(Urgency::class, Urgency::Usual) : null;
        $language = $in->field('language');

        return new self(
            AboutStep::fromJson($in),
            new Tag(
                self::words($in->field('label'), Limits::LABEL),
                $language->isGiven() ? Language::read($language) : null,
                $given,
                self::words($in->field('tone'), 40),
                self::words($in->field('note'), 200),
            ),
        );
    }

    private static function words(Input $in, int $most): ?string
    {
        $words = $in->optionalText($most);

        return '' === $words ? null : $words;
    }

    public function toJson(): array
    {
        $tag = $this->tag->toJson();

        return [
            ...$this->about->toJson('tag'),
            'label' => (string) $tag['label'],
            'tone' => (string) $tag['tone'],
            'note' => (string) $tag['note'],
        ] + $tag;
    }

    public function references(string $pointer): array
    {
        return [];
    }

    public function unfinished(): ?string
    {
        return $this->tag->isEmpty() ? 'label' : null;
    }

    public function waysOn(Plan $plan): array
    {
        return ['' => 0];
    }
}
