<?php

declare(strict_types=1);

namespace Ustrel\Core\Work;

use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Work\Schedule\InvalidPlan;

/** What to look at while something is off, and what to mind when it goes back on; of a row unit only what it has. */
final readonly class WhileOff
{
    /** @param  array<string, array{look: list<array{string, CheckKey|null}>, back: list<array{string, CheckKey|null}>}>  $notes  by step: each note with the check that its row unit has to have */
    private function __construct(private array $notes)
    {
    }

    public static function typical(): self
    {
        /** @var self|null $typical */
        static $typical = null;

        return $typical ??= self::read((array) json_decode((string) file_get_contents(__DIR__.'/../../jobs/while_off.json'), true, flags: JSON_THROW_ON_ERROR));
    }

    /**
     * @param  array<mixed>  $steps  shape: core/jobs/while_off.json
     *
     * @throws InvalidPlan
     */
    public static function read(array $steps): self
    {
        $read = [];
        foreach ($steps as $step => $of) {
            if (! is_array($of)) {
                throw InvalidPlan::whileOff((string) $step);
            }
            $read[(string) $step] = ['look' => self::notes((string) $step, $of['look'] ?? null), 'back' => self::notes((string) $step, $of['back'] ?? null)];
        }

        return new self($read);
    }

    /**
     * @param  list<string>  $steps  that come off, by name, in that order
     * @param  array<string, Check>  $checks  of the row unit, by key
     * @return list<string> notes, each once; worded under `look_at.<note>`
     */
    public function looks(array $steps, array $checks): array
    {
        return $this->of('look', $steps, $checks);
    }

    /**
     * What came off last goes back first.
     *
     * @param  list<string>  $steps
     * @param  array<string, Check>  $checks
     * @return list<string> notes, each once; worded under `put_back.<note>`
     */
    public function back(array $steps, array $checks): array
    {
        return $this->of('back', array_reverse($steps), $checks);
    }

    /**
     * @param  'look'|'back'  $what
     * @param  list<string>  $steps
     * @param  array<string, Check>  $checks
     * @return list<string>
     */
    private function of(string $what, array $steps, array $checks): array
    {
        $notes = [];
        foreach ($steps as $step) {
            foreach ($this->notes[$step][$what] ?? [] as [$note, $with]) {
                $notes += $with === null || isset($checks[$with->value]) ? [$note => true] : [];
            }
        }

        return array_keys($notes);
    }

    /** @return list<array{string, CheckKey|null}> */
    private static function notes(string $step, mixed $given): array
    {
        $notes = [];
        foreach (is_array($given) && array_is_list($given) ? $given : throw InvalidPlan::whileOff($step) as $one) {
            $one = is_array($one) ? $one : throw InvalidPlan::whileOff($step);
            [$note, $named] = [$one['note'] ?? null, $one['with'] ?? null];
            $with = is_string($named) ? CheckKey::tryFrom($named) : null;
            $notes[] = is_string($note) && ($named === null || $with !== null) ? [$note, $with] : throw InvalidPlan::whileOff($step);
        }

        return $notes;
    }
}
