<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Doctrine\DBAL\Connection;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\Editions;

/** What differs is found by digests that triggers keep: after whatever is written, as if all elements were compared. */
final class SharesTest extends ApiTestCase
{
    public function testWhatDiffersAfterEveryKindOfWriteIsWhatComparingAllFinds(): void
    {
        $first = $this->state();
        $this->change('team_port', ['name' => 'Harbour office']);
        $this->change('team_freight', ['pauseSeconds' => 7]);
        $changed = $this->state();
        self::assertSame([['team_freight', 'team_port'], false], [$changed['draft to 1'], $changed['like 1']]);

        $this->send('POST', '/api/plans/draft/elements', ['id' => 'mbx_new', 'kind' => 'mailbox', 'name' => 'New one']);
        $this->send('DELETE', '/api/plans/draft/elements/num_given_up', null, $this->revision('num_given_up'));
        self::assertSame(['mbx_new', 'num_given_up', 'team_freight', 'team_port'], $this->state()['draft to 1']);
        $this->undo();
        $this->undo();
        self::assertSame($changed, $this->state(), 'What is taken back leaves nothing behind.');

        $this->publish('Harbour');
        $this->undo('redo');
        $state = $this->state();
        self::assertSame([], array_diff($state['draft to 2'], ['mbx_new']));
        self::assertSame(['team_freight', 'team_port'], $state['1 to 2']);
        $this->restore(1);
        self::assertSame([[], true], [$this->state()['draft to 1'], $this->state()['like 1']]);

        $file = json_decode($this->sentFile(), true);
        $empty = ['elements' => []] + $file;
        $this->send('PUT', '/api/plans/draft/file', $empty, $this->draftRevision());
        self::assertCount(\count($file['elements']), $this->state()['draft to 1']);
        $this->undo();
        self::assertSame($first['print'], $this->state()['print']);
    }

    /** @return array<string, mixed> after making sure that each list is what comparing all elements finds */
    private function state(): array
    {
        $database = self::getContainer()->get(Connection::class);
        $editions = self::getContainer()->get(Editions::class);
        $rows = static fn(string $which): array => $database->fetchAllKeyValue(
            'draft' === $which
                ? 'SELECT id, hash FROM draft_element'
                : "SELECT id, hash FROM edition_element WHERE number = $which",
        );
        $print = self::getContainer()->get(Draft::class)->plan()->fingerprint();
        $state = ['print' => $print, 'like 1' => $print === $editions->plan(1)->fingerprint()];
        foreach ([['draft', '1'], ['draft', '2'], ['1', '2'], ['2', 'draft']] as [$a, $b]) {
            $differing = [...array_diff_assoc($rows($a), $rows($b)), ...array_diff_assoc($rows($b), $rows($a))];
            ksort($differing);
            self::assertSame(array_keys($differing), $editions->differing($a, $b), "$a to $b");
            $state["$a to $b"] = array_keys($differing);
        }

        return $state;
    }

    private function sentFile(): string
    {
        $this->request('GET', '/api/plans/draft/file');

        return $this->sent();
    }
}
