<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Call\Urgency;
use Meandros\Core\Plan\Language;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** Changes what the call carries from here on: the label that the answerer sees, its language, its urgency in queues. */
final readonly class TagStep implements Step
{
    use PassedUnasked;
    use WithoutExits;

    /**
     * @param string      $label    empty to keep it
     * @param string|null $language null to keep it, as with the urgency
     */
    public function __construct(private string $id, public string $label = '', public ?string $language = null, public ?Urgency $urgency = null)
    {
    }

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['id', 'do', 'label', 'language', 'urgency']);
        $urgency = $in->field('urgency');
        /** @var Urgency|null $given */
        $given = $urgency->isGiven() ? $urgency->oneOf(Urgency::class, Urgency::Usual) : null;

        return new self($in->field('id')->id(), $in->field('label')->optionalText(80), $in->field('language')->isGiven() ? Language::read($in->field('language')) : null, $given);
    }

    public function id(): string
    {
        return $this->id;
    }

    public function toJson(): array
    {
        return ['id' => $this->id, 'do' => 'tag', 'label' => $this->label, 'language' => $this->language, 'urgency' => $this->urgency?->value];
    }

    public function references(string $pointer): array
    {
        return [];
    }

    public function unfinished(): ?string
    {
        return '' === $this->label && null === $this->language && null === $this->urgency ? 'label' : null;
    }

    public function waysOn(Plan $plan): array
    {
        return ['' => 0];
    }
}
