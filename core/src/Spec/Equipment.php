<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

/** What a planter carries, as far as it decides what is checked. What is not fitted is not asked. */
final readonly class Equipment
{
    /** What may be fitted or not, each with its name in files and in the API. */
    public const OPTIONS = [
        'row_cleaner', 'coulter', 'fertilizer', 'firmer', 'central_fill', 'markers', 'lift_assist', 'heavy_blades', 'clearance_guard',
        'fertilizer_both_sides', 'liquid', 'electronics',
    ];

    public const MOST_TYRE_PAIRS = 4;

    public function __construct(
        public MeterType $meter,
        public Drive $drive = Drive::Electric,
        public Downforce $downforce = Downforce::Spring,
        public ClosingWheels $closingWheels = ClosingWheels::Rubber,
        public bool $rowCleaner = true,
        public bool $coulter = false,
        public bool $fertilizer = false,
        public bool $firmer = true,
        public bool $centralFill = false,
        public bool $markers = false,
        public bool $liftAssist = false,
        /** Opener blades of the heavier kind, with large rivets. */
        public bool $heavyBlades = false,
        /** The seed tube guard with clearance for large rivets. */
        public bool $clearanceGuard = false,
        /** Fertilizer is fed on both sides of the row. */
        public bool $fertilizerBothSides = false,
        /** A liquid system: tank, pump, screens. Openers may carry dry fertilizer, and liquid may run in the furrow. */
        public bool $liquid = false,
        /** Monitor, sensors and maps. */
        public bool $electronics = true,
        public DepthScale $depthScale = DepthScale::Notches,
        /** Pairs of tires that are gauged one by one, 1 to MOST_TYRE_PAIRS; null where the lowest of all is read. */
        public ?int $tyrePairs = null,
    ) {
    }

    public static function typicalOf(RowUnitType $type): self
    {
        return match ($type) {
            RowUnitType::Vacuum => new self(MeterType::Vacuum),
            RowUnitType::Finger => new self(MeterType::Finger, Drive::Ground),
            RowUnitType::Plate => new self(MeterType::Plate, Drive::Ground, rowCleaner: false, firmer: false),
            RowUnitType::SingleDiscDrill => new self(MeterType::Fluted, Drive::Ground, Downforce::Hydraulic, rowCleaner: false),
        };
    }

    /**
     * @param  array<mixed>  $given  by name; what is missing or unknown is as typical for the type
     */
    public static function of(array $given, RowUnitType $type): self
    {
        $typical = self::typicalOf($type)->toArray();
        // The two were one once: who has openers on record has the liquid system, unless it says otherwise.
        $typical['liquid'] = ($given['fertilizer'] ?? false) === true;
        $text = static fn (string $name): string => is_string($given[$name] ?? null) ? $given[$name] : '';
        $option = static fn (string $name): bool => is_bool($given[$name] ?? null) ? $given[$name] : $typical[$name] === true;

        return new self(
            MeterType::tryFrom($text('meter')) ?? MeterType::from((string) $typical['meter']),
            Drive::tryFrom($text('drive')) ?? Drive::from((string) $typical['drive']),
            Downforce::tryFrom($text('downforce')) ?? Downforce::from((string) $typical['downforce']),
            ClosingWheels::tryFrom($text('closing_wheels')) ?? ClosingWheels::from((string) $typical['closing_wheels']),
            ...array_map($option, self::OPTIONS),
            depthScale: DepthScale::tryFrom($text('depth_scale')) ?? DepthScale::Notches,
            tyrePairs: in_array($given['tyre_pairs'] ?? null, range(1, self::MOST_TYRE_PAIRS), true) ? $given['tyre_pairs'] : null,
        );
    }

    /** @return array<string, string|bool|int|null> */
    public function toArray(): array
    {
        return [
            'meter' => $this->meter->value,
            'drive' => $this->drive->value,
            'downforce' => $this->downforce->value,
            'closing_wheels' => $this->closingWheels->value,
            'row_cleaner' => $this->rowCleaner,
            'coulter' => $this->coulter,
            'fertilizer' => $this->fertilizer,
            'firmer' => $this->firmer,
            'central_fill' => $this->centralFill,
            'markers' => $this->markers,
            'lift_assist' => $this->liftAssist,
            'heavy_blades' => $this->heavyBlades,
            'clearance_guard' => $this->clearanceGuard,
            'fertilizer_both_sides' => $this->fertilizerBothSides,
            'liquid' => $this->liquid,
            'electronics' => $this->electronics,
            'depth_scale' => $this->depthScale->value,
            'tyre_pairs' => $this->tyrePairs,
        ];
    }
}
