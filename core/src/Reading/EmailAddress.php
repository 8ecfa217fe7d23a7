<?php

declare(strict_types=1);

namespace Meandros\Core\Reading;

/** E-mail addresses that come in from outside. */
final class EmailAddress
{
    /** @return list<string> empty ones stay: they are being written */
    public static function list(Input $in, int $most): array
    {
        $addresses = [];
        foreach ($in->items($most) as $item) {
            $address = $item->text();
            if ('' !== $address && false === filter_var($address, \FILTER_VALIDATE_EMAIL, \FILTER_FLAG_EMAIL_UNICODE)) {
                $item->complain('not-an-address', ['address' => Input::quote($address)]);
            }
            $addresses[] = $address;
        }

        return $addresses;
    }
}
