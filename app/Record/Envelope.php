<?php

declare(strict_types=1);

namespace App\Record;

use Carbon\CarbonImmutable;
use LogicException;
use Ustrel\Core\Measure\Moment;

/** What everything that is said or done has in common, whatever it is. */
final readonly class Envelope
{
    /** How a request is sent, and not what it says. */
    private const APART = ['confirmed', 'since'];

    private function __construct(
        /** Made where it was said. */
        public string $id,
        /** The earlier event whose place this one takes. */
        public ?string $supersedes,
        /** Of the canonical body: what is sent again under the same id has to be the same. */
        public string $sha256,
        /** When it happened; null where its kind says that itself. */
        private ?Moment $at,
        /** It only takes the earlier one back. */
        public bool $withdrawn,
        private Declared $declared,
    ) {
    }

    /** @throws Refused */
    public static function of(Fields $fields, Declared $declared): self
    {
        $supersedes = $fields->idOr('supersedes', 'refused.no_earlier_id');
        $withdrawn = $declared->hasFlag() && $fields->flag('withdrawn', 'refused.unknown_flag');
        if ($withdrawn && $supersedes === null) {
            throw Refused::because('supersedes', $declared->gone);
        }
        $at = $declared->when === '' ? null : $fields->moment($declared->moment, $declared->when, $declared->ahead ?: $declared->when);

        return new self($fields->id(), $supersedes, $fields->sha256(self::APART), $at, $withdrawn, $declared);
    }

    public function at(): Moment
    {
        return $this->at ?? throw new LogicException('This kind has no moment of its own.');
    }

    /** @return array<string, mixed> the columns that are the same for every kind */
    public function columns(int $userId): array
    {
        return [
            'id' => $this->id,
            'user_id' => $userId,
            'recorded_at' => CarbonImmutable::now()->format('Y-m-d H:i:s.vP'),
            'sent_sha256' => $this->sha256,
        ]
            + ($this->at === null ? [] : [$this->declared->moment => $this->at->toIso()])
            + ($this->declared->canSupersede() ? ['supersedes' => $this->supersedes] : [])
            + ($this->declared->hasFlag() ? ['withdrawn' => $this->withdrawn] : []);
    }
}
