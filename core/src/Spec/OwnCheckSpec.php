<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\CheckDefinition as Define;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Rules\RuleName;

/** A check that a shop has added to its spec sheet: what it is called, where it is made, what it asks. */
final readonly class OwnCheckSpec
{
    public const LONGEST_NAME = 60;

    public const LONGEST_HOW = 200;

    /** What may be wrong with anything, each with the verdict that it amounts to at least. */
    private const CHIPS = [
        'worn' => Verdict::Change, 'loose' => Verdict::Change, 'bent' => Verdict::Watch, 'leaking' => Verdict::Change,
        'plugged' => Verdict::Change, 'missing' => Verdict::Change, 'cracked' => Verdict::Failed, 'seized' => Verdict::Failed,
    ];

    public function __construct(
        /** 1 to LONGEST_NAME letters, with the unit where a figure has one. */
        public string $name,
        public Station $station,
        public OwnKind $kind,
        /** It is made on the left and on the right. */
        public bool $isSided = false,
        /** How it is made, up to LONGEST_HOW letters. */
        public string $how = '',
    ) {
    }

    public function definition(): CheckDefinition
    {
        $definition = match ($this->kind) {
            OwnKind::Condition => Define::condition($this->station, self::CHIPS),
            OwnKind::YesNo => Define::yesNo($this->station, Verdict::Change),
            OwnKind::AtMost => Define::setting($this->station, Unit::Mark, RuleName::AtMost),
            OwnKind::AtLeast => Define::setting($this->station, Unit::Mark, RuleName::NotUnder),
        };

        return $this->isSided ? $definition->leftAndRight() : $definition;
    }

    public function takesFigure(): bool
    {
        return $this->kind === OwnKind::AtMost || $this->kind === OwnKind::AtLeast;
    }

    /** @return array{name: string, station: string, kind: string, sided: bool, how: string} as it stands in a spec sheet */
    public function toArray(): array
    {
        return ['name' => $this->name, 'station' => $this->station->value, 'kind' => $this->kind->value, 'sided' => $this->isSided, 'how' => $this->how];
    }
}
