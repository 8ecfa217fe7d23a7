<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Meandros\Core\Plan\Json\PlanCodec;
use PHPUnit\Framework\Attributes\DataProvider;

final class PlanApiTest extends ApiTestCase
{
    public function testAChangedJourneyChangesTheAnswerAtOnce(): void
    {
        self::assertStringContainsString('rings Port office for 20 s', $this->sentence());
        $journey = $this->element('jrn_bookings');
        foreach ($journey['steps'] as $i => $step) {
            if ('team_port' === ($step['target'] ?? null)) {
                $journey['steps'][$i]['seconds'] = 40;
            }
        }
        $this->change('jrn_bookings', $journey);
        $this->assertStatus(200);
        self::assertStringContainsString('rings Port office for 40 s', $this->sentence());
        self::assertStringContainsString(
            'rings Port office for 20 s',
            $this->sentence(more: ['in' => 'live']),
            'What is live stays as it was.',
        );
    }

    public function testANewElementGetsAnIdAndCanBeUsedAtOnce(): void
    {
        $saved = $this->send('POST', '/api/plans/draft/elements', [
            'kind' => 'prompt',
            'name' => 'Fog',
            'scripts' => ['en' => 'Fog at sea'],
        ]);
        $this->assertStatus(201);
        self::assertMatchesRegularExpression('/^prm_[0-9a-f]{12}$/', $saved['id']);
        self::assertSame('"' . $saved['revision'] . '"', $this->header('ETag'));
        self::assertSame(2, $this->send('GET', '/api/plans/draft/prompt-seconds')['seconds'][$saved['id']]['en']);
    }

    public function testAnOutlineHasEveryElementWithoutWhatIsLong(): void
    {
        $plan = $this->send('GET', '/api/plans/draft');
        $outline = $this->send('GET', '/api/plans/draft/outline');
        self::assertSame(array_column($plan['elements'], 'id'), array_column($outline['elements'], 'id'));
        $journey = array_column($outline['elements'], null, 'id')['jrn_bookings'];
        self::assertArrayNotHasKey('steps', $journey);
        self::assertSame(\count($this->element('jrn_bookings')['steps']), $journey['sizes']['steps']);
        unset($plan['elements'], $outline['elements']);
        self::assertSame($plan, $outline);

        $this->send('GET', '/api/plans/live/outline');
        $this->assertStatus(200);
        $this->send('GET', '/api/plans/77/outline');
        $this->assertStatus(404);
    }

    public function testABodyComesWithItsRevisionAndIsNotSentTwice(): void
    {
        $body = $this->element('per_dana');
        self::assertArrayHasKey('rules', $body);
        $tag = $this->header('ETag');
        self::assertSame('"' . $this->revision('per_dana') . '"', $tag);
        $this->requestWith('GET', '/api/plans/draft/elements/per_dana', null, ['HTTP_IF_NONE_MATCH' => $tag]);
        self::assertSame(304, $this->answer()->getStatusCode());
        self::assertSame($body, $this->send('GET', '/api/plans/live/elements/per_dana'));
        self::assertStringContainsString(
            'no element',
            $this->send('GET', '/api/plans/draft/elements/nobody')['detail'],
        );
        $this->assertStatus(404);
    }

    public function testAStaleWriteIsRefusedAndChangesNothing(): void
    {
        $stale = $this->revision('team_bookings');
        $this->change('team_bookings', ['name' => 'Bookings']);
        $problem = $this->send(
            'PUT',
            '/api/plans/draft/elements/team_bookings',
            ['name' => 'Lost update'] + $this->element('team_bookings'),
            $stale,
        );
        $this->assertStatus(412);
        self::assertStringContainsString('was changed meanwhile', $problem['detail']);
        self::assertSame('Bookings', $this->element('team_bookings')['name']);
        $this->send('PUT', '/api/plans/draft/elements/team_bookings', $this->element('team_bookings'));
        $this->assertStatus(428, 'A write names its revision.');
    }

    public function testWhatIsInUseIsNotDeletedAndThePlacesAreListed(): void
    {
        $problem = $this->send(
            'DELETE',
            '/api/plans/draft/elements/que_bookings',
            null,
            $this->revision('que_bookings'),
        );
        $this->assertStatus(409);
        self::assertSame(['Bookings line', 'Freight account line'], array_column($problem['places'], 'name'));
        self::assertSame(
            $problem['places'],
            $this->send('GET', '/api/plans/draft/elements/que_bookings/uses')['places'],
        );
        self::assertSame('Bookings queue', $this->element('que_bookings')['name']);
    }

    public function testWhatIsUnusedIsDeleted(): void
    {
        $this->send('DELETE', '/api/plans/draft/elements/num_paris', null, $this->revision('num_paris'));
        $this->assertStatus(200);
        $this->send('GET', '/api/plans/draft/elements/num_paris/uses');
        $this->assertStatus(404);
        $this->send('DELETE', '/api/plans/draft/elements/num_paris', null, 1);
        $this->assertStatus(404);
    }

    public function testUndoAndRedoGoBackAndForthOverEveryKindOfEdit(): void
    {
        $states = [$this->file()];
        $this->change('team_freight', ['memberSeconds' => 9]);
        $states[] = $this->file();
        $this->send('POST', '/api/plans/draft/elements', [
            'kind' => 'team',
            'name' => 'New',
            'pattern' => 'all at once',
            'members' => [],
        ]);
        $states[] = $this->file();
        $this->send('DELETE', '/api/plans/draft/elements/num_paris', null, $this->revision('num_paris'));
        $states[] = $this->file();
        for ($i = 2; $i >= 0; --$i) {
            $this->undo();
            self::assertSame($states[$i], $this->file());
        }
        $this->undo();
        $this->assertStatus(409, 'Nobody wants to go back behind the beginning.');
        for ($i = 1; $i <= 3; ++$i) {
            $this->undo('redo');
            self::assertSame($states[$i], $this->file());
        }
        $this->undo();
        $this->change('team_port', ['name' => 'Harbour']);
        $this->undo('redo');
        $this->assertStatus(409, 'After another edit there is nothing to redo.');
        $log = $this->send('GET', '/api/plans/draft/history')['edits'];
        self::assertSame(
            ['Change Port office', 'Delete Paris ventes'],
            \array_slice(array_column($log, 'label'), 0, 2),
        );
        self::assertSame('dropped', $log[1]['state']);
    }

    public function testPublishingNumbersEditionsAndOldOnesComeBack(): void
    {
        $problem = $this->publish('Nothing new');
        $this->assertStatus(409);
        self::assertStringContainsString('same as edition 1', $problem['detail']);
        $this->publish('');
        $this->assertStatus(422);

        $before = $this->file();
        $this->change('que_bookings', ['name' => 'Reservations queue']);
        self::assertSame(
            ['id' => 'que_bookings', 'kind' => 'queue', 'name' => 'Reservations queue', 'what' => 'changed'],
            array_diff_key($this->send('GET', '/api/plans/draft/pending')['pending'][0], ['why' => '']),
        );
        $edition = $this->publish('A new name');
        $this->assertStatus(201);
        self::assertSame(2, $edition['number']);
        self::assertStringContainsString('Reservations queue', $this->sentence(more: ['in' => 'live']));
        self::assertStringContainsString('Bookings queue', $this->sentence(more: ['in' => '1']));

        $this->restore(1);
        self::assertSame($before, $this->file());
        $this->undo();
        self::assertStringContainsString('Reservations queue', $this->sentence());
        $this->restore(9);
        $this->assertStatus(404);
    }

    public function testWhyItWasSoIsToldWithWhatIsChangedAndWhatGoes(): void
    {
        $why = $this->element('num_given_up')['why'];
        self::assertStringStartsWith('On leaflets of 2025', $why);
        $this->send('DELETE', '/api/plans/draft/elements/num_given_up', null, $this->revision('num_given_up'));
        $this->change('team_port', ['why' => 'One counter.']);
        $file = json_decode($this->file(), true);
        $pending = fn(): array => array_column($this->send('GET', '/api/plans/draft/pending')['pending'], 'why', 'id');
        self::assertSame(['num_given_up' => $why, 'team_port' => null], $pending());
        $this->publish('One counter');
        $this->change('team_port', ['why' => 'Two counters.']);
        self::assertSame(['team_port' => 'One counter.'], $pending());
        $told = $this->send('POST', '/api/plans/draft/file/preview', $file)['pending'];
        self::assertSame('Two counters.', array_column($told, 'why', 'id')['team_port'], 'As it is in the draft.');
    }

    public function testWhatIsUnfinishedIsFoundAndBlocksPublishing(): void
    {
        $this->change('num_paris', ['target' => null]);
        $findings = $this->send('GET', '/api/plans/draft/findings')['findings'];
        self::assertSame(
            [['jrn_port', false, '/steps/2/exits'], ['num_paris', true, '/target']],
            array_map(static fn(array $one): array => [$one['id'], $one['blocks'], $one['pointer']], $findings),
        );
        self::assertSame(
            [$findings[1]],
            $this->send('GET', '/api/plans/draft/findings?element=num_paris')['findings'],
            'A screen asks for its own.',
        );
        self::assertSame([], $this->send('GET', '/api/plans/draft/findings?element=per_dana')['findings']);
        $this->send('GET', '/api/plans/draft/findings?element=num_none');
        $this->assertStatus(404);
        $problem = $this->publish('Half done');
        $this->assertStatus(409);
        self::assertSame([$findings[1]], $problem['findings']);
    }

    public function testAPlanFileIsBroughtInWholeOrNotAtAll(): void
    {
        $before = $this->file();
        $plan = json_decode($before, true);
        $plan['name'] = 'Ternwick Lines';
        $plan['elements'][0]['name'] = 'Ternwick Quay';
        $this->send('PUT', '/api/plans/draft/file', $plan, $this->draftRevision());
        $this->assertStatus(200);
        self::assertNotSame($before, $this->file());
        self::assertSame('Ternwick Lines', $this->send('GET', '/api/plans/draft')['name']);
        $this->undo();
        self::assertSame($before, $this->file());

        $plan['elements'][0]['zone'] = 'Nowhere/Atall';
        $problem = $this->send('PUT', '/api/plans/draft/file', $plan, $this->draftRevision());
        $this->assertStatus(422);
        self::assertSame('/elements/0/zone', $problem['errors'][0]['pointer']);
        $this->send('PUT', '/api/plans/draft/file', '{"meandros": 1,', $this->draftRevision());
        $this->assertStatus(422);
        self::assertSame($before, $this->file());
    }

    public function testWhatAFileWouldChangeIsToldBeforeItIsBroughtIn(): void
    {
        // As it comes in, the machine voice reads its scripts.
        $this->send('PUT', '/api/plans/draft/file', json_decode($this->file(), true), $this->draftRevision());
        $plan = json_decode($this->file(), true);
        $look = fn(array $plan): array => $this->send('POST', '/api/plans/draft/file/preview', $plan);
        self::assertSame(
            ['count' => 0, 'revision' => $this->draftRevision(), 'counts' => [], 'pending' => []],
            $look($plan),
        );
        $plan['elements'][0]['name'] = 'Ternwick Quay';
        $plan['elements'][] = ['id' => 'mbx_new', 'kind' => 'mailbox', 'name' => 'New one'];
        $plan['elements'] = array_values(
            array_filter($plan['elements'], static fn(array $one): bool => 'num_paris' !== $one['id']),
        );
        $told = $look($plan);
        self::assertSame(3, $told['count']);
        self::assertEqualsCanonicalizing(['changed', 'added', 'removed'], array_column($told['pending'], 'what'));
        self::assertSame('mbx_new', array_column($told['pending'], 'id', 'what')['added']);
        foreach (range(1, 25) as $i) {
            $plan['elements'][] = ['id' => "mbx_$i", 'kind' => 'mailbox', 'name' => "Mailbox $i"];
        }
        $told = $look($plan);
        $boxes = ['kind' => 'mailbox', 'what' => 'added', 'count' => 26];
        self::assertSame([28, $boxes], [$told['count'], $told['counts'][0]]);
        self::assertCount(22, $told['pending'], 'The first twenty of a kind are named, and all of the others.');
        $plan['elements'][0]['zone'] = 'Nowhere/Atall';
        self::assertSame('/elements/0/zone', $look($plan)['errors'][0]['pointer']);
    }

    public function testTheDemoPlanIsAFileToStartWith(): void
    {
        $demo = $this->send('GET', '/api/demo-plan');
        $this->send('PUT', '/api/plans/draft/file', $demo, $this->draftRevision());
        self::assertSame(0, $this->send('POST', '/api/plans/draft/file/preview', $demo)['count']);
        $takes = $this->element('prm_welcome')['takes'];
        self::assertSame(['calmer', 'take_2'], [$takes[1]['note'], $this->element('prm_welcome')['inUse']['en']]);
    }

    public function testTheChangeLogOfOneElement(): void
    {
        $this->change('sit_ternwick', ['name' => 'Quay']);
        $this->change('num_paris', ['target' => null]);
        $of = fn(string $query): array => array_column(
            $this->send('GET', '/api/plans/draft/history?' . $query)['edits'],
            'label',
            'id',
        );
        $labels = array_values($of('element=sit_ternwick'));
        self::assertSame('Change Ternwick Harbour', $labels[0]);
        self::assertNotContains('Change Paris ventes', $labels);
        $ids = array_keys($of('element=sit_ternwick'));
        self::assertSame($labels[1] ?? null, array_values($of('element=sit_ternwick&before=' . $ids[0]))[0] ?? null);
        self::assertSame([], $of('element=sit_none'));
    }

    /** @param array<string, mixed> $part */
    #[DataProvider('badInput')]
    public function testBadInputNamesTheFieldAndNothingIsLost(string $id, array $part, string $pointer): void
    {
        $before = $this->file();
        $problem = $this->change($id, $part);
        $this->assertStatus(422);
        self::assertContains($pointer, array_column($problem['errors'], 'pointer'));
        self::assertSame('application/problem+json', $this->header('Content-Type'));
        self::assertSame($before, $this->file());
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function badInput(): iterable
    {
        yield 'no number' => ['num_paris', ['number' => 'ring me'], '/number'];
        yield 'a number twice' => ['num_paris', ['number' => self::BOOKINGS], '/number'];
        yield 'a reference to something gone' => ['num_paris', ['target' => 'jrn_gone'], '/target'];
        yield 'a band inside out' => [
            'hrs_lost',
            ['week' => [['days' => ['mo'], 'from' => '12:00', 'to' => '09:00', 'state' => 'open']]],
            '/week/0/to',
        ];
        yield 'an unknown zone' => ['sit_ternwick', ['zone' => 'Europe/Ternwick'], '/zone'];
        yield 'a date that does not exist' => [
            'hrs_lost',
            ['specialDays' => [['date' => '2027-04-31', 'name' => 'x', 'bands' => []]]],
            '/specialDays/0/date',
        ];
        yield 'a journey that goes round' => [
            'jrn_lost',
            ['steps' => [['id' => 's1', 'do' => 'go', 'journey' => 'jrn_lost']]],
            '/steps/0/journey',
        ];
        yield 'a round through others' => [
            'jrn_main',
            ['steps' => [['id' => 's1', 'do' => 'go', 'journey' => 'jrn_main']]],
            '/steps/0/journey',
        ];
        yield 'a person without a name' => ['per_dana', ['name' => ' '], '/name'];
        yield 'a list that is none' => ['per_dana', ['phones' => 'desk'], '/phones'];
        yield 'another kind' => ['per_dana', ['kind' => 'parrot'], '/kind'];
        yield 'another id' => ['per_dana', ['id' => 'per_other'], '/id'];
    }

    public function testBrokenRequestsAreClearFaultsOfTheirs(): void
    {
        $this->send('POST', '/api/plans/draft/elements', 'not json');
        $this->assertStatus(422);
        $this->send('POST', '/api/plans/draft/elements', '[]');
        $this->assertStatus(422);
        $this->send('POST', '/api/trial-calls', '"call"');
        $this->assertStatus(422);
        $this->send('GET', '/api/plans/elsewhere');
        $this->assertStatus(404);
        $this->send('GET', '/api/plans/99');
        $this->assertStatus(404);
        $this->send('GET', '/api/nowhere');
        $this->assertStatus(404);
        $this->send('PATCH', '/api/editions');
        $this->assertStatus(405);
    }

    private function file(): string
    {
        return PlanCodec::encode(PlanCodec::fromData($this->send('GET', '/api/plans/draft/file')));
    }

    public function testPeopleComeFromAFileAsOneEdit(): void
    {
        $text = "name,extension,outside\r\nNed Garrow,260,07700 900177\r\nNobody,2x,\r\n";
        $rows = $this->send('POST', '/api/plans/draft/people/preview', ['text' => $text])['rows'];
        self::assertSame(['added', 'refused'], array_column($rows, 'outcome'));
        $change = $this->send('POST', '/api/plans/draft/people', ['text' => $text, 'leaveOut' => true]);
        $this->assertStatus(200);
        self::assertSame(
            ['Bring in 1 people', 'Ned Garrow'],
            [$change['label'], array_values($change['elements'])[0]['name']],
        );
        $this->undo();
        self::assertStringNotContainsString('Ned Garrow', $this->send('GET', '/api/plans/draft/people.csv')['text']);
        self::assertStringStartsWith(
            "BEGIN:VCARD\r\nVERSION:4.0",
            $this->send('GET', '/api/plans/draft/people.vcf')['text'],
        );
        $this->send('POST', '/api/plans/draft/people/preview', ['text' => "first,last\r\n"]);
        $this->assertStatus(422);
        $problem = $this->send('POST', '/api/plans/draft/people', ['text' => $text]);
        $this->assertStatus(422);
        self::assertStringStartsWith('Line 3, extension: "2x" is not an extension', $problem['errors'][0]['detail']);
        self::assertStringNotContainsString(
            'Ned Garrow',
            $this->send('GET', '/api/plans/draft/people.csv')['text'],
            'Nothing is half-imported.',
        );
    }

    public function testTwoThousandPeopleInOneFile(): void
    {
        $lines = ['name,extension,desk,outside'];
        for ($i = 0; $i < 2000; ++$i) {
            $lines[] = \sprintf('Person %d,%d,Desk phone,07700 900%03d', $i, 10000 + $i, $i % 1000);
        }
        $change = $this->send('POST', '/api/plans/draft/people', ['text' => implode("\r\n", $lines)]);
        $this->assertStatus(200);
        self::assertSame(
            [2000, false, []],
            [$change['changed'], $change['isTold'], $change['elements']],
            'So many are not told one by one.',
        );
    }
}
