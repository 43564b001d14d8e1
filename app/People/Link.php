<?php

declare(strict_types=1);

namespace App\People;

/**
 * A link that lets somebody in. Its secret stands behind the # of the address, which no server, log or referrer sees; the
 * database keeps only its SHA-256.
 */
final readonly class Link
{
    private function __construct(public string $address, public string $sha256)
    {
    }

    /** @param  string  $page  of the client, such as "join" */
    public static function to(string $page): self
    {
        $secret = rtrim(strtr(base64_encode(random_bytes(32)), '+/', '-_'), '=');

        return new self(url($page).'#'.$secret, self::digest($secret));
    }

    public static function digest(string $secret): string
    {
        return hash('sha256', $secret);
    }
}
