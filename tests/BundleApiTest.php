<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Doctrine\DBAL\Connection;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;

/** A plan with its sounds goes out as one file and comes back; sounds that nobody uses are cleared when somebody says so. */
final class BundleApiTest extends ApiTestCase
{
    private string $path;

    protected function setUp(): void
    {
        parent::setUp();
        $this->path = (string) tempnam(sys_get_temp_dir(), 'bundle');
        // The demo with its takes.
        $this->send('PUT', '/api/plans/draft/file', $this->send('GET', '/api/demo-plan'), $this->draftRevision());
    }

    protected function tearDown(): void
    {
        @unlink($this->path);
        parent::tearDown();
    }

    public function testItComesBackAsItWentOut(): void
    {
        $bundle = $this->takeAway();
        file_put_contents($this->path, $bundle);
        $zip = new \ZipArchive();
        $zip->open($this->path);
        self::assertSame('plan.json', $zip->getNameIndex(0));
        for ($i = 1; $i < $zip->numFiles; ++$i) {
            $name = (string) $zip->getNameIndex($i);
            self::assertSame('sounds/' . hash('sha256', (string) $zip->getFromIndex($i)) . '.wav', $name);
        }
        self::assertGreaterThan(60, $i);
        $before = $this->element('prm_welcome');
        $this->change('prm_welcome', ['takes' => [], 'inUse' => []]);
        $this->database()->executeStatement('DELETE FROM spoken');
        $this->database()->executeStatement('DELETE FROM sound');
        $upload = $this->put($bundle);
        $look = $this->send('POST', '/api/plans/draft/bundle/preview', ['upload' => $upload]);
        self::assertSame([1, 'prm_welcome'], [$look['count'], $look['pending'][0]['id']]);
        self::assertNull($this->sizeOf($before['takes'][0]['sound']), 'Nothing is written.');
        $this->send('PUT', '/api/plans/draft/bundle', ['upload' => $upload], $this->draftRevision());
        $this->assertStatus(200);
        self::assertEquals($before, $this->element('prm_welcome'));
        self::assertNotNull($this->sizeOf($before['takes'][0]['sound']));
    }

    public function testABundleIsCheckedAsAWhole(): void
    {
        $sound = $this->element('prm_welcome')['takes'][0]['sound'];
        $other = $this->element('prm_welcome')['takes'][1]['sound'];
        $bundle = $this->takeAway();
        $this->database()->executeStatement('DELETE FROM spoken');
        $this->database()->executeStatement('DELETE FROM sound');
        $broken = [
            'bundle-lacks-sound' => static fn(\ZipArchive $zip) => $zip->deleteName("sounds/$sound.wav"),
            'bundle-sound-differs' => static fn(\ZipArchive $zip) => $zip->addFromString(
                "sounds/$sound.wav",
                (string) $zip->getFromName("sounds/$other.wav"),
            ),
            'bundle-without-plan' => static fn(\ZipArchive $zip) => $zip->deleteName('plan.json'),
            'not-a-plan-file' => static fn(\ZipArchive $zip) => $zip->addFromString('plan.json', '{'),
        ];
        foreach ($broken as $code => $break) {
            file_put_contents($this->path, $bundle);
            $zip = new \ZipArchive();
            $zip->open($this->path);
            $break($zip);
            $zip->close();
            $upload = $this->put((string) file_get_contents($this->path));
            $problem = $this->send('PUT', '/api/plans/draft/bundle', ['upload' => $upload], $this->draftRevision());
            $this->assertStatus(422);
            self::assertSame($code, $problem['errors'][0]['code']);
            self::assertNull($this->sizeOf($other), $code);
        }
    }

    public function testSoundsThatNobodyUsesAreClearedWhenSomebodySaysSo(): void
    {
        $clear = new CommandTester((new Application(self::$kernel))->find('meandros:clear-sounds'));
        $clear->execute([]);
        $take = $this->element('prm_welcome')['takes'][0]['sound'];
        $this->change('prm_welcome', ['takes' => [], 'inUse' => []]);
        $clear->execute([]);
        self::assertStringContainsString('0 sounds', $clear->getDisplay());
        self::assertNotNull($this->sizeOf($take), 'It can be undone.');
        $this->database()->executeStatement('DELETE FROM edit');
        $clear->execute(['--look' => true]);
        self::assertMatchesRegularExpression('/[1-9]\d* sounds? of \d\.\d MB would be deleted/', $clear->getDisplay());
        self::assertNotNull($this->sizeOf($take));
        $clear->execute([]);
        self::assertNull($this->sizeOf($take));
        self::assertNotNull($this->sizeOf($this->element('prm_main_menu')['takes'][0]['sound']));
    }

    private function takeAway(): string
    {
        $this->request('GET', '/api/plans/draft/bundle');

        return $this->sent();
    }

    private function put(string $bytes): string
    {
        $id = bin2hex(random_bytes(16));
        $this->requestWith('PUT', '/api/uploads/' . $id, $bytes, ['CONTENT_TYPE' => 'application/octet-stream']);

        return $id;
    }

    private function sizeOf(string $sha256): mixed
    {
        $size = $this->database()->fetchOne('SELECT size FROM sound WHERE sha256 = ?', [$sha256]);

        return false === $size ? null : $size;
    }

    private function database(): Connection
    {
        return self::getContainer()->get(Connection::class);
    }
}
