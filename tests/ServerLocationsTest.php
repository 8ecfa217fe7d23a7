<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Meandros\Server\Api\ServerLocations;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\Routing\Route;
use Symfony\Component\Routing\RouterInterface;

/** What nginx is told of routes. */
final class ServerLocationsTest extends KernelTestCase
{
    /** They look at many calls in the background, at none, or at one for each row on screen. */
    private const QUICK = [
        'CoverageController::board',
        'EditionController::again',
        'EditionController::revoke',
        'ImpactController::inFull',
        'JourneyMapController::draw',
        'NumberAnswersController::answers',
        'PaperController::briefInFull',
    ];

    public function testEachRouteIsServedAsItSays(): void
    {
        $locations = $this->locations();
        foreach ($this->routes() as $name => $route) {
            $by = ['main', 512 * 1024];
            foreach ($locations as [$paths, $kilobytes, $processes]) {
                if (1 === preg_match('#' . $paths . '#', self::example($route))) {
                    $by = [$processes, 1024 * (int) $kilobytes];
                    break;
                }
            }
            [$processes, $bytes] = ServerLocations::served($route);
            self::assertSame($processes, $by[0], $name);
            self::assertGreaterThanOrEqual($bytes, $by[1], $name);
        }
    }

    public function testWhatLooksAtManyCallsHasProcessesOfItsOwn(): void
    {
        $computing = [];
        foreach ($this->routes() as $route) {
            [$class, $method] = explode('::', $route->getDefault('_controller') . '::__invoke');
            $file = (string) (new \ReflectionClass($class))->getFileName();
            $uses = '/^use Meandros\\\\(Core|Server)\\\\(Proof|Paper|Overflow)\\\\/m';
            $name = substr($class, (int) strrpos($class, '\\') + 1) . '::' . $method;
            if (
                1 === preg_match($uses, (string) file_get_contents($file)) &&
                'main' === ServerLocations::served($route)[0]
            ) {
                $computing[] = $name;
            }
        }
        sort($computing);
        self::assertSame(self::QUICK, $computing, 'Others say Served::PROOF, or Served::LONG.');
    }

    /** @return array<string, Route> */
    private function routes(): array
    {
        return array_filter(
            self::getContainer()->get(RouterInterface::class)->getRouteCollection()->all(),
            static fn(Route $route): bool => str_starts_with($route->getPath(), '/api/'),
        );
    }

    /** @return list<array{string, string, string}> paths, kilobytes and processes */
    private function locations(): array
    {
        $text = self::getContainer()->get(ServerLocations::class)->text();
        preg_match_all('/location ~ "([^"]*)" \{.*?size (\d+)k;.*?pass (\w+);/s', $text, $found, \PREG_SET_ORDER);

        return array_map(static fn(array $one): array => [$one[1], $one[2], $one[3]], $found);
    }

    private static function example(Route $route): string
    {
        return (string) preg_replace_callback(
            '/\{(\w+)\}/',
            static function (array $part) use ($route): string {
                $wanted = $route->getRequirement($part[1]);
                foreach (['draft', 'csv', 'html', 'next', '1', str_repeat('a', 32), str_repeat('a', 64)] as $text) {
                    if (null === $wanted || 1 === preg_match('#^(?:' . $wanted . ')$#D', $text)) {
                        return $text;
                    }
                }

                self::fail($route->getPath() . ' wants ' . $wanted);
            },
            $route->getPath(),
        );
    }
}
