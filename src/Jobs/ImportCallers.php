<?php

declare(strict_types=1);

namespace Meandros\Server\Jobs;

use Meandros\Core\Callers\CallerFile;
use Meandros\Core\Plan\Element\CallerEntries;
use Meandros\Core\Plan\Element\CallerEntry;
use Meandros\Core\Plan\Element\CallerList;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Reading\Problem;
use Meandros\Server\Storage\Change;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\PlannedEdit;

/** Takes a file of callers over into a list, as one edit. */
final readonly class ImportCallers implements JobKind
{
    public const NAME = 'callers';

    public function __construct(private Draft $draft) {}

    public function name(): string
    {
        return self::NAME;
    }

    public function run(array $input, Progress $progress): array
    {
        \assert(\is_string($input['list']) && \is_string($input['text']) && \is_string($input['country']));
        $lines = 1 + substr_count($input['text'], "\n");
        $change = $this->import(
            $input['list'],
            $input['text'],
            $input['country'],
            true === $input['leaveOut'],
            static fn(int $line) => 0 === $line % 500 ? $progress->at($line, $lines) : null,
        );

        return ['rows' => $lines, 'label' => $change->label];
    }

    /**
     * @param bool                       $leaveOut lines that cannot be taken; otherwise nothing is taken then
     * @param (\Closure(int): void)|null $each     is told how many lines were read
     *
     * @throws InvalidData
     * @throws NotFound
     */
    public function import(string $list, string $text, string $country, bool $leaveOut, ?\Closure $each = null): Change
    {
        [$entries, $problems] = CallerFile::read($text, $country, $each);
        if ([] !== $problems && !$leaveOut) {
            throw new InvalidData(
                array_map(
                    static fn(Problem $one): Problem => $one->inFile('/text', (int) substr($one->pointer, 1)),
                    $problems,
                ),
            );
        }

        return $this->draft->writeAll(static fn(Plan $plan): PlannedEdit => self::edit($plan, $list, $entries));
    }

    /** @param list<CallerEntry> $entries */
    private static function edit(Plan $plan, string $id, array $entries): PlannedEdit
    {
        $list =
            $plan->get(CallerList::class, $id) ?? throw new NotFound('There is no such list of callers in the draft.');
        $all = CallerEntries::of(
            (static function () use ($list, $entries): iterable {
                yield from $list->entries;
                yield from $entries;
            })(),
        );
        if (\count($all) > Limits::CALLER_ENTRIES) {
            throw InvalidData::at('/text', 'list-grows-too-long', [
                'entries' => \count($all),
                'most' => Limits::CALLER_ENTRIES,
            ]);
        }

        return PlannedEdit::of(\sprintf('Bring %d callers into %s', \count($entries), $list->name()), [
            new CallerList($list->about(), $all),
        ]);
    }
}
