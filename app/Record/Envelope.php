<?php

declare(strict_types=1);

namespace App\Record;

use Carbon\CarbonImmutable;

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
    ) {
    }

    /** @throws Refused */
    public static function of(Fields $fields): self
    {
        return new self(
            $fields->id(),
            $fields->idOr('supersedes', 'refused.no_earlier_id'),
            $fields->sha256(self::APART),
        );
    }

    /** @return array<string, mixed> the columns that are the same for every kind */
    public function columns(int $userId): array
    {
        return [
            'id' => $this->id,
            'user_id' => $userId,
            'recorded_at' => CarbonImmutable::now()->format('Y-m-d H:i:s.vP'),
            'sent_sha256' => $this->sha256,
        ];
    }
}
