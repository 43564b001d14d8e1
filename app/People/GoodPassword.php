<?php

declare(strict_types=1);

namespace App\People;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** Length first: long is good, whatever it is made of, unless it is what many choose or what the person is called. */
final readonly class GoodPassword implements ValidationRule
{
    public const LEAST = 12;

    /** Bytes; what stands beyond them bcrypt would not look at. */
    public const MOST = 72;

    private const FEWEST_DIFFERENT = 5;

    private const FEWEST_LETTERS = 4;

    private const LOOK_ALIKES = ['@' => 'a', '4' => 'a', '3' => 'e', '1' => 'i', '!' => 'i', '0' => 'o', '$' => 's', '5' => 's', '7' => 't'];

    /** Rows of a keyboard and of the alphabet, along which nothing is long. */
    private const RUNS = '01234567890 qwertyuiop asdfghjkl zxcvbnm qazwsxedcrfvtgbyhnujmikolp abcdefghijklmnopqrstuvwxyz';

    /** @param  list<string>  $names  of the person, the workshop, the address: nothing to hide behind */
    public function __construct(private array $names = [])
    {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $code = is_string($value) ? $this->fault($value) : 'password_short';
        if ($code !== null) {
            $fail(__("people.{$code}", ['least' => self::LEAST, 'most' => self::MOST]));
        }
    }

    private function fault(string $password): ?string
    {
        return match (true) {
            mb_strlen($password) < self::LEAST => 'password_short',
            strlen($password) > self::MOST => 'password_long',
            $this->isCommon(mb_strtolower($password)) => 'password_common',
            default => null,
        };
    }

    /** What is left once all that everybody thinks of is taken out has to be something. */
    private function isCommon(string $password): bool
    {
        if (count(array_unique(mb_str_split($password))) < self::FEWEST_DIFFERENT) {
            return true;
        }
        if (preg_match('/\pL/u', $password) !== 1) {
            // Figures alone: more than a telephone number has, and not along the keys.
            return preg_match_all('/\d/', $this->withoutRuns($password)) < self::LEAST;
        }
        // Figures at either end are figures; within a word they stand for letters.
        $plain = strtr((string) preg_replace('/^[\d\W_]+|[\d\W_]+$/u', '', $password), self::LOOK_ALIKES);
        foreach ([$password, $plain] as $spelling) {
            $left = $this->withoutRuns(str_replace([...self::words(), ...$this->ownWords()], '', $spelling));
            if (preg_match_all('/\pL/u', $left) < self::FEWEST_LETTERS) {
                return true;
            }
        }

        return false;
    }

    private function withoutRuns(string $text): string
    {
        foreach (explode(' ', self::RUNS) as $run) {
            foreach ([$run, strrev($run)] as $along) {
                for ($length = strlen($along); $length >= 4; $length--) {
                    for ($from = 0; $from + $length <= strlen($along); $from++) {
                        $text = str_replace(substr($along, $from, $length), '', $text);
                    }
                }
            }
        }

        return $text;
    }

    /** @return list<string> */
    private function ownWords(): array
    {
        $words = preg_split('/[^\pL\pN]+/u', mb_strtolower(implode(' ', $this->names)), -1, PREG_SPLIT_NO_EMPTY) ?: [];

        return array_values(array_filter($words, static fn (string $word): bool => mb_strlen($word) >= 4));
    }

    /** @return list<string> */
    private static function words(): array
    {
        static $words = null;

        return $words ??= file(__DIR__.'/common-words.txt', FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [];
    }
}
