<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Json\Input;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;

/** People rung together: all at once, or one after the other for so many seconds each. */
final readonly class Team implements Element
{
    use Named;

    /** @param list<string> $members people's ids, in ringing order */
    public function __construct(
        private string $id,
        private string $name,
        public RingPattern $pattern,
        public array $members,
        public int $memberSeconds = 15,
    ) {
    }

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['id', 'kind', 'name', 'pattern', 'members', 'memberSeconds']);
        $members = [];
        foreach ($in->field('members')->items() as $item) {
            $id = $item->text(80);
            if (\in_array($id, $members, true)) {
                $item->complain('This person is in the team twice.', 'Remove one of the two.');
            }
            $members[] = $id;
        }
        /** @var RingPattern $pattern */
        $pattern = $in->field('pattern')->oneOf(RingPattern::class, RingPattern::AllAtOnce);

        return new self($in->field('id')->id(), $in->field('name')->text(), $pattern, $members, $in->field('memberSeconds')->whole(1, 300, 'seconds', 15));
    }

    public function kind(): Kind
    {
        return Kind::Team;
    }

    public function toJson(): array
    {
        return ['id' => $this->id, 'kind' => 'team', 'name' => $this->name, 'pattern' => $this->pattern->value, 'members' => $this->members, 'memberSeconds' => $this->memberSeconds];
    }

    public function references(): array
    {
        $references = [];
        foreach ($this->members as $i => $member) {
            $references[] = new Reference($member, '/members/'.$i, [Kind::Person], 'rings them as a member');
        }

        return $references;
    }
}
