<?php

declare(strict_types=1);

namespace App\Parts;

use Symfony\Component\HttpFoundation\IpUtils;

/**
 * Where a parts counter is asked: at an address that is not within reach of this machine alone, or at the stand-in. Nobody
 * can have Ustrel ask what stands behind its own walls.
 */
final readonly class CounterAddress
{
    /** Addresses of many (multicast), and of relays that lead back into other networks. */
    private const NOT_ONE_HOST = ['224.0.0.0/4', '192.88.99.0/24'];

    /** How the stand-in can be told to behave. */
    public const MANNERS = ['works', 'slow', 'late', 'down', 'wrong', 'half'];

    private const PRACTICE = 'practice:';

    private const LONGEST = 300;

    /** @param  string|null  $at  the one address that is asked, whatever the name stands for by then; null at the stand-in */
    private function __construct(public string $url, public ?string $at)
    {
    }

    public static function fits(string $written): bool
    {
        return self::manner($written) !== null || self::host($written) !== null;
    }

    /** However the stand-in behaves, it is the same one. */
    public static function isSame(?string $one, ?string $other): bool
    {
        return $one === $other || ($one !== null && $other !== null && self::manner($one) !== null && self::manner($other) !== null);
    }

    /** Null where nobody is there, or where it lies within. */
    public static function of(string $written): ?self
    {
        $manner = self::manner($written);
        if ($manner !== null) {
            $file = config('ustrel.stand_in_port_file');
            $port = is_string($file) && is_file($file) ? (int) file_get_contents($file) : 0;

            return $port > 0 ? new self("http://127.0.0.1:{$port}/{$manner}", null) : null;
        }
        $host = self::host($written);
        $found = $host === null ? false : gethostbynamel($host);
        foreach ($found === false ? [] : $found as $at) {
            if (filter_var($at, FILTER_VALIDATE_IP, FILTER_FLAG_IPV4 | FILTER_FLAG_GLOBAL_RANGE) === false || IpUtils::checkIp($at, self::NOT_ONE_HOST)) {
                return null;
            }
        }

        return $found === false || $found === [] ? null : new self($written, $found[0]);
    }

    /** @return array<int, mixed> for curl: this address and no other, however often the name is looked up */
    public function pinned(): array
    {
        if ($this->at === null) {
            return [];
        }
        $parts = parse_url($this->url) ?: [];
        $port = $parts['port'] ?? (($parts['scheme'] ?? '') === 'https' ? 443 : 80);

        return [CURLOPT_RESOLVE => [($parts['host'] ?? '').":{$port}:{$this->at}"]];
    }

    private static function manner(string $written): ?string
    {
        $manner = str_starts_with($written, self::PRACTICE) ? substr($written, strlen(self::PRACTICE)) : '';

        return in_array($manner, self::MANNERS, true) ? $manner : null;
    }

    private static function host(string $written): ?string
    {
        $parts = strlen($written) > self::LONGEST || filter_var($written, FILTER_VALIDATE_URL) === false ? false : parse_url($written);
        if ($parts === false || ! in_array($parts['scheme'] ?? '', ['https', 'http'], true) || isset($parts['user'])) {
            return null;
        }
        $host = $parts['host'] ?? '';

        return preg_match('/^[A-Za-z0-9.-]+$/D', $host) === 1 ? $host : null;
    }
}
