<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Tests\Told;
use PHPUnit\Framework\TestCase;

/** All that the elements of the demo and of what is rare, and the values in them, say of themselves where no more than the plan is asked. */
final class SaidOfThemselvesTest extends TestCase
{
    private const DEMO = __DIR__ . '/../../../demo/ternwick-ferries.json';
    /** Of one class and method; enough for every branch. */
    private const MOST = 12;
    /** What is told elsewhere, or is another value that is told itself. */
    private const NOT = ['about', 'exits', 'getIterator', 'id', 'kind', 'name', 'site', 'toJson', 'why'];

    private Plan $plan;
    /** @var array<string, array<string, true>> what was said, by class and method */
    private array $said = [];

    public function testAllOfThem(): void
    {
        $this->plan = PlanCodec::decode((string) file_get_contents(self::DEMO))->withAll(
            PlanCodec::fromData(SchemaPlaces::rare())->elements(),
        );
        foreach ($this->plan->elements() as $element) {
            $this->ask($element);
        }
        ksort($this->said);
        $told = '';
        foreach ($this->said as $of => $answers) {
            $told .= "# {$of}\n" . implode("\n", array_keys($answers)) . "\n";
        }
        Told::same(__DIR__ . '/said-of-themselves.txt', $told);
    }

    private function ask(object $value): void
    {
        $class = new \ReflectionClass($value);
        foreach ($class->getMethods(\ReflectionMethod::IS_PUBLIC) as $method) {
            $arguments = $this->arguments($method);
            if (null === $arguments || \in_array($method->getName(), self::NOT, true)) {
                continue;
            }
            $of = $class->getShortName() . '::' . $method->getName();
            $answer = Told::json(self::plain($method->invoke($value, ...$arguments)));
            if (\count($this->said[$of] ?? []) < self::MOST) {
                $this->said[$of][$answer] = true;
            }
        }
        foreach ($class->getProperties() as $property) {
            foreach (self::values($property->getValue($value)) as $part) {
                $this->ask($part);
            }
        }
    }

    /** @return list<mixed>|null null for what changes something, or asks for more than the plan and a place */
    private function arguments(\ReflectionMethod $method): ?array
    {
        $type = $method->getReturnType();
        if (
            $method->isStatic() ||
            $method->isConstructor() ||
            ($type instanceof \ReflectionNamedType && 'self' === $type->getName())
        ) {
            return null;
        }
        $arguments = [];
        foreach ($method->getParameters() as $parameter) {
            if ($parameter->isOptional()) {
                break;
            }
            $arguments[] = match ((string) $parameter->getType() . ' ' . $parameter->getName()) {
                Plan::class . ' plan' => $this->plan,
                'string pointer' => '/at',
                'string language' => 'en',
                default => null,
            };
            if (null === end($arguments)) {
                return null;
            }
        }

        return $arguments;
    }

    /** @return iterable<object> values of the plan in a property */
    private static function values(mixed $property): iterable
    {
        if (\is_array($property)) {
            foreach ($property as $one) {
                yield from self::values($one);
            }
        } elseif (
            \is_object($property) &&
            !($property instanceof \UnitEnum) &&
            str_contains($property::class, 'Core\Plan')
        ) {
            yield $property;
        }
    }

    private static function plain(mixed $value): mixed
    {
        return match (true) {
            $value instanceof \Traversable => self::plain(iterator_to_array($value)),
            \is_array($value) => array_map(self::plain(...), $value),
            $value instanceof \UnitEnum => $value->name,
            \is_object($value) => self::plain(get_object_vars($value)) ?: basename(strtr($value::class, '\\', '/')),
            default => $value,
        };
    }
}
