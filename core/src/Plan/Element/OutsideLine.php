<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Value\Lists;

/** How calls leave a site: the digits dialled first, the destinations allowed, and how many calls it carries at once. */
final readonly class OutsideLine implements Element
{
    use Named;
    use WithoutParts;

    /**
     * @param string            $prefix       digits put in front of what is dialled
     * @param list<Destination> $destinations in the order of the enum
     */
    public function __construct(
        private About $about,
        public string $site,
        public string $prefix,
        public array $destinations,
        public int $channels,
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...About::FIELDS, 'site', 'prefix', 'destinations', 'channels']);
        $prefix = $in->field('prefix')->optionalExactText(8);
        if (1 !== preg_match('/^[0-9*#]*$/D', $prefix)) {
            $in->field('prefix')->complain('not-digits');
        }
        $destinations = [];
        foreach ($in->field('destinations')->items(Limits::DESTINATIONS) as $item) {
            /** @var Destination $destination */
            $destination = $item->oneOf(Destination::class, Destination::National);
            $destinations[] = $destination;
        }
        $inOrder = array_filter(
            Destination::cases(),
            static fn(Destination $case): bool => Lists::has($destinations, $case),
        );

        return new self(
            About::fromJson($in),
            $in->field('site')->text(Limits::ID),
            $prefix,
            array_values($inOrder),
            $in->field('channels')->whole(1, 10000, 'calls', 2),
        );
    }

    public function kind(): Kind
    {
        return Kind::Line;
    }

    public function toJson(): array
    {
        return [
            ...$this->about->toJson($this->kind()),
            'site' => $this->site,
            'prefix' => $this->prefix,
            'destinations' => array_map(
                static fn(Destination $destination): string => $destination->value,
                $this->destinations,
            ),
            'channels' => $this->channels,
        ];
    }

    public function references(): array
    {
        return [new Reference($this->site, '/site', [Kind::Site], 'leaves from it')];
    }
}
