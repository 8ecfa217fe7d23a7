<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Doctrine\DBAL\Connection;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\Editions;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;

/** What is kept, and the command that fills it. */
final class StorageTest extends ApiTestCase
{
    public function testAnEditionIsTheCanonicalPlanWithItsChecksum(): void
    {
        $edition = self::getContainer()->get(Editions::class)->get(1);
        self::assertSame(
            PlanCodec::encode(PlanCodec::decode((string) file_get_contents(self::DEMO))),
            $edition->document,
        );
        self::assertSame(hash('sha256', $edition->document), $edition->checksum);
        self::assertTrue($edition->isIntact());
    }

    public function testAnEditionThatWasTamperedWithIsNotRouted(): void
    {
        $database = self::getContainer()->get(Connection::class);
        $database->executeStatement("UPDATE edition SET document = replace(document, 'Bookings desk', 'Bandits desk')");
        $this->lookAgain();
        $this->expectExceptionMessage('Edition 1 is damaged');
        self::getContainer()->get(Editions::class)->plan(1);
    }

    public function testEveryWriteIsLoggedWithBeforeAndAfter(): void
    {
        $this->change('per_dana', ['extension' => '288']);
        $database = self::getContainer()->get(Connection::class);
        $row = $database->fetchAssociative(
            "SELECT c.before->>'extension' AS was, c.after->>'extension' AS is, e.label, e.who FROM edit_change c JOIN edit e ON e.id = c.edit_id ORDER BY c.id DESC LIMIT 1",
        );
        self::assertSame(['was' => '201', 'is' => '288', 'label' => 'Change Dana Whitlock', 'who' => 'demo'], $row);
    }

    public function testARefusedWriteIsNotLogged(): void
    {
        $database = self::getContainer()->get(Connection::class);
        $before = $database->fetchOne('SELECT count(*) FROM edit');
        $this->change('per_dana', ['extension' => '202']);
        $this->assertStatus(422);
        self::assertSame($before, $database->fetchOne('SELECT count(*) FROM edit'));
    }

    public function testAnEmptyDraftKeepsItsName(): void
    {
        $draft = self::getContainer()->get(Draft::class);
        $draft->replaceAll(Plan::of('Bare', []), 'Empty it', null);
        $reading = $draft->read();
        self::assertSame(['Bare', [], []], [$reading->plan->name, $reading->plan->elements(), $reading->revisions()]);
    }

    public function testRevisionsOnlyGrow(): void
    {
        $seen = [];
        for ($i = 0; $i < 3; ++$i) {
            $this->change('team_port', ['memberSeconds' => 20 + $i]);
            $seen[] = $this->revision('team_port');
            $seen[] = $this->undo()['revision'];
        }
        $sorted = $seen;
        sort($sorted);
        self::assertSame($sorted, $seen);
        self::assertCount(6, array_unique($seen));
    }

    public function testRestoringTheSamePlanIsNoEdit(): void
    {
        $undo = $this->outline()['undo'];
        $change = $this->restore(1);
        self::assertSame([], $change['elements']);
        self::assertSame($undo, $this->outline()['undo']);
    }

    public function testThePlanIsLoadedOnceUnlessAskedAgain(): void
    {
        $this->change('per_dana', ['extension' => '288']);
        $command = new CommandTester((new Application(self::$kernel))->find('meandros:load-plan'));
        self::assertSame(0, $command->execute(['file' => self::DEMO, '--if-empty' => true]));
        self::assertSame('288', $this->element('per_dana')['extension'], 'What is there is left alone.');
    }

    public function testABrokenFileIsNotLoaded(): void
    {
        $before = PlanCodec::encode(self::getContainer()->get(Draft::class)->plan());
        $command = new CommandTester((new Application(self::$kernel))->find('meandros:load-plan'));
        self::assertSame(1, $command->execute(['file' => __FILE__]));
        self::assertStringContainsString('not a JSON document', $command->getDisplay());
        self::assertSame(1, $command->execute(['file' => '/nowhere.json']));
        self::assertStringContainsString('cannot be read', $command->getDisplay());
        self::assertSame($before, PlanCodec::encode(self::getContainer()->get(Draft::class)->plan()));
    }
}
