<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\AtSite;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Parts;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step\AboutStep;
use Meandros\Core\Plan\Step\MessageStep;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Plan\TakesCalls;
use Meandros\Core\Plan\Target;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Value\Copied;
use Meandros\Core\Value\Lists;

/** Somebody who answers: an extension, phones, and a mailbox of their own if they have one. */
final readonly class Person implements TakesCalls, AtSite
{
    use Copied;
    use Named;

    public function __construct(
        private About $about,
        public string $site,
        public KnownBy $known = new KnownBy(),
        public ReachedBy $reach = new ReachedBy(),
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([
            ...About::FIELDS,
            'extension',
            'site',
            'phones',
            'refusesForAll',
            'mailbox',
            'rules',
            'listing',
            'shows',
        ]);

        return new self(
            About::fromJson($in),
            $in->field('site')->text(Limits::ID),
            KnownBy::fromJson($in),
            ReachedBy::fromJson($in),
        );
    }

    public function site(): string
    {
        return $this->site;
    }

    public function reachedBy(ReachedBy $reach): self
    {
        return $this->with(reach: $reach);
    }

    public function parts(): Parts
    {
        return new Parts(
            '/phones',
            'phone',
            array_map(static fn(Phone $phone): string => $phone->id, $this->reach->phones),
        );
    }

    /** @return list<string> as a target is written: "per_x/desk" */
    public function phoneIds(): array
    {
        return array_map(
            fn(Phone $phone): string => Target::phone($this->about->id, $phone->id)->text(),
            $this->reach->phones,
        );
    }

    public function phone(string $id): ?Phone
    {
        foreach ($this->reach->phones as $phone) {
            if ($phone->id === $id) {
                return $phone;
            }
        }

        return null;
    }

    public function directSteps(): StepList
    {
        $ring = RingStep::direct(Target::element($this->about->id), handOver: [] !== $this->reach->rules);

        return new StepList(
            null === $this->reach->mailbox
                ? [$ring]
                : [$ring, new MessageStep(new AboutStep('message'), $this->reach->mailbox)],
        );
    }

    public function kind(): Kind
    {
        return Kind::Person;
    }

    public function toJson(): array
    {
        return [
            ...$this->about->toJson($this->kind()),
            'extension' => $this->known->extension,
            'site' => $this->site,
            'phones' => array_map(static fn(Phone $phone): array => $phone->toJson(), $this->reach->phones),
            'refusesForAll' => $this->reach->refusesForAll,
            'mailbox' => $this->reach->mailbox,
            'rules' => array_map(static fn(AnsweringRule $rule): array => $rule->toJson(), $this->reach->rules),
            'listing' => $this->known->listing->toJson(),
            'shows' => $this->known->shows,
        ];
    }

    public function references(): array
    {
        $references = [new Reference($this->site, '/site', [Kind::Site], 'works there')];
        if (null !== $this->reach->mailbox) {
            $references[] = new Reference($this->reach->mailbox, '/mailbox', [Kind::Mailbox], 'has it as their own');
        }
        $listing = $this->known->listing;
        if (null !== $listing->prompt) {
            $references[] = new Reference($listing->prompt, '/listing/prompt', [Kind::Prompt], 'is named by it');
        }
        $shows = $this->known->shows;
        if (null !== $shows && !Lists::has([KnownBy::SHOWS_OWN, KnownBy::SHOWS_NOTHING], $shows)) {
            $references[] = new Reference($shows, '/shows', [Kind::Number], 'shows it on calls to outside');
        }

        return [...$references, ...$this->reach->references()];
    }
}
