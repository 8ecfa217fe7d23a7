<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Call\SignIn;
use Meandros\Core\Reading\Input;
use Meandros\Core\Value\Lists;

/** How agents sign in and out of a queue other than on screen. */
final readonly class QueueDuty
{
    private const FIELDS = ['codeIn' => SignIn::In, 'codePause' => SignIn::Paused, 'codeOut' => SignIn::Out];

    /**
     * @param int|null              $signOutAfter calls that an agent misses one after the other, after which they are signed out; null for never
     * @param array<string, string> $dialled      codes that agents dial, by field
     */
    public function __construct(public ?int $signOutAfter = null, private array $dialled = []) {}

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields(['signOutAfter', ...array_keys(self::FIELDS)]);
        $codes = [];
        foreach (array_keys(self::FIELDS) as $name) {
            $code = $in->field($name)->optionalExactText(7);
            if ('' === $code) {
                continue;
            }
            if (1 !== preg_match(DialCode::PATTERN, $code)) {
                $in->field($name)->complain('not-a-duty-code', ['code' => Input::quote($code)]);
            }
            if (Lists::has($codes, $code)) {
                $in->field($name)->complain('duty-code-twice', ['code' => $code]);
            }
            $codes[$name] = $code;
        }

        return new self($in->field('signOutAfter')->optionalWhole(1, 20, 'calls'), $codes);
    }

    /** @return array<string, string> codes to dial, by their field */
    public function codes(): array
    {
        return $this->dialled;
    }

    /** What a code does; null where it is none of these. */
    public function does(string $code): ?SignIn
    {
        $field = array_search($code, $this->dialled, true);

        return false === $field ? null : self::FIELDS[$field];
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        $codes = [];
        foreach (array_keys(self::FIELDS) as $name) {
            $codes[$name] = $this->dialled[$name] ?? '';
        }

        return ['signOutAfter' => $this->signOutAfter] + $codes;
    }
}
