<?php

declare(strict_types=1);

use Composer\Autoload\ClassLoader;

/**
 * Core with further data and the same code, asked by a PHP of its own.
 *
 * @param  array<string, array<mixed>>  $changed  what each file of core/ gets besides what it has
 * @return array<mixed> what the script returns
 */
function coreWith(array $changed, string $script): array
{
    $core = sys_get_temp_dir().'/ustrel-core-'.bin2hex(random_bytes(6));
    try {
        foreach (['src', 'units', 'specs', 'jobs', 'packs', 'field'] as $folder) {
            foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__."/../../{$folder}", FilesystemIterator::SKIP_DOTS)) as $file) {
                $to = "{$core}/{$folder}".substr((string) $file, strlen(__DIR__."/../../{$folder}"));
                is_dir(dirname($to)) || mkdir(dirname($to), recursive: true);
                copy((string) $file, $to);
            }
        }
        foreach ($changed as $name => $more) {
            $file = "{$core}/{$name}";
            $has = is_file($file) ? json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR) : [];
            file_put_contents($file, json_encode(array_merge_recursive($has, $more), JSON_THROW_ON_ERROR));
        }
        $vendor = dirname((string) (new ReflectionClass(ClassLoader::class))->getFileName(), 2);
        file_put_contents("{$core}/ask.php", '<?php (require '.var_export("{$vendor}/autoload.php", true).")->setPsr4('Ustrel\\\\Core\\\\', ['{$core}/src']);\n{$script}");
        exec(PHP_BINARY." {$core}/ask.php 2>&1", $said, $code);

        return $code === 0 ? json_decode(implode('', $said), true, flags: JSON_THROW_ON_ERROR) : throw new RuntimeException(implode("\n", $said));
    } finally {
        exec('rm -rf '.escapeshellarg($core));
    }
}

/** A roller that firms the bed ahead of the opener: an assembly that Ustrel does not ship. */
const BED_ROLLER = [
    'assemblies' => ['bed_roller' => ['kinds' => ['none', 'smooth', 'ribbed'], 'typical' => 'none']],
    'contradictions' => ['roller_before_hoe' => ['if' => ['bed_roller' => ['smooth', 'ribbed']], 'then' => ['opener' => ['double_disc', 'single_disc', 'runner']]]],
    'checks' => [
        'bed_roller_diameter' => ['station' => 'coulter', 'kind' => 'measure', 'rule' => 'wear_limit', 'with' => ['bed_roller' => ['smooth', 'ribbed']], 'figures' => [
            'new' => ['value' => '8 in', 'source' => 'typical value'], 'limit' => ['value' => '7 1/2 in', 'source' => 'typical value'],
            'margin' => ['value' => '1/8 in', 'source' => 'typical value'], 'life' => ['value' => '900 mi', 'source' => 'typical value'],
        ]],
        'bed_roller_bearing' => ['station' => 'coulter', 'kind' => 'condition', 'chips' => ['rough' => 'change', 'seized' => 'failed'], 'sides' => 'both', 'with' => ['bed_roller' => ['smooth', 'ribbed']]],
    ],
    'slots' => [
        'bed_roller' => ['checks' => ['bed_roller_diameter']],
        'bed_roller_bearing' => ['checks' => ['bed_roller_bearing'], 'in_pairs' => true],
    ],
];

it('takes a new assembly as data alone, where it is fitted and nowhere else', function (): void {
    $told = coreWith([
        'units/index.json' => ['bed'],
        'units/bed.json' => BED_ROLLER,
        'jobs/access.json' => ['bed_roller' => ['per' => 'row', 'minutes' => 4, 'needs' => [], 'with' => ['bed_roller' => ['smooth', 'ribbed']]]],
        'jobs/jobs.json' => ['change' => ['bed_roller' => ['minutes' => 9, 'needs' => ['bed_roller'], 'again' => ['bed_roller_diameter']]]],
        'jobs/lubrication.json' => [['point' => 'bed_roller_hub', 'per' => 'row', 'minutes' => 1, 'product' => 'grease', 'rounds' => 'both', 'with' => ['bed_roller' => ['smooth', 'ribbed']]]],
    ], <<<'PHP'
        use Ustrel\Core\Measure\{Quantity, UnitSystem};
        use Ustrel\Core\Parts\{Partners, Slot, SlotPlace};
        use Ustrel\Core\Plan\Jobs\{Job, JobBook};
        use Ustrel\Core\Spec\{CheckKey, Equipment, RowUnits, RowUnitType, Side, SpecSheetReader};
        use Ustrel\Core\Work\Lubrication;
        use Ustrel\Core\Spec\Judging\{Answer, Background};

        $sheet = SpecSheetReader::read(json_decode(file_get_contents(__DIR__.'/specs/vacuum.json'), true));
        $with = Equipment::of(['bed_roller' => 'ribbed', 'coulter' => true], RowUnitType::Vacuum);
        $without = Equipment::of(['coulter' => true], RowUnitType::Vacuum);
        $rolled = $sheet->for($with);
        $diameter = CheckKey::from('bed_roller_diameter');
        echo json_encode([
            'asked' => array_values(array_diff(array_keys($rolled->checks), array_keys($sheet->for($without)->checks))),
            'lost' => array_values(array_diff(array_keys($sheet->for($without)->checks), array_keys($rolled->checks))),
            'after' => array_keys($rolled->checks)[array_search('bed_roller_diameter', array_keys($rolled->checks)) - 1],
            'verdicts' => array_map(static fn (string $typed): string => $rolled->check($diameter)->judge(Answer::figure($rolled->check($diameter)->unit->read($typed, UnitSystem::Inch)), Background::of())->verdict->value, ['8', '7 9/16', '7 7/16']),
            'parts' => array_values(array_filter(array_map(static fn (Slot $slot): ?string => $slot->isOn($with) && ! $slot->isOn($without) ? $slot->value : null, Slot::cases()))),
            'slot' => Slot::of($diameter)->value,
            'partners' => array_map(static fn (SlotPlace $place): string => $place->key(), Partners::of(new SlotPlace(3, Slot::from('bed_roller_bearing'), Side::Left), $with)),
            'minutes' => JobBook::typical()->minutesOnRows([Job::change(new SlotPlace(3, Slot::from('bed_roller'), Side::Centre))]),
            'grease' => array_map(static fn (Equipment $on): array => array_values(array_filter(array_column(Lubrication::read(Lubrication::points(), new RowUnits(6, $on)), 'minutes', 'point'), static fn (string $point): bool => $point === 'bed_roller_hub', ARRAY_FILTER_USE_KEY)), [$with, $without]),
            'before a hoe' => array_map(static fn ($of): string => $of->code, Equipment::of(['bed_roller' => 'smooth', 'opener' => 'hoe'], RowUnitType::Vacuum)->contradictions()),
            'one object' => CheckKey::from('bed_roller_diameter') === $rolled->check($diameter)->key,
        ]);
        PHP);
    expect($told)->toBe([
        'asked' => ['bed_roller_diameter', 'bed_roller_bearing'],
        'lost' => [],
        'after' => 'coulter_bearing',
        'verdicts' => ['sound', 'watch', 'change'],
        'parts' => ['bed_roller', 'bed_roller_bearing'],
        'slot' => 'bed_roller',
        'partners' => ['3:bed_roller_bearing:left', '3:bed_roller_bearing:right'],
        // 9 for the roller and 4 to get at it; 1 at each of 6 rows.
        'minutes' => 13,
        'grease' => [[6], []],
        'before a hoe' => ['roller_before_hoe'],
        'one object' => true,
    ]);
});

it('refuses a slot whose check or partner nobody has', function (array $slot, string $said): void {
    expect(fn (): array => coreWith(['units/index.json' => ['bed'], 'units/bed.json' => ['slots' => ['bed_roller' => $slot]]], 'Ustrel\Core\Unit\Catalogue::shipped();'))
        ->toThrow(RuntimeException::class, $said);
})->with([
    'check' => [['checks' => ['bed_roller_rust']], 'names "bed_roller_rust", which is not there'],
    'partner' => [['checks' => ['opener_rivets'], 'together' => ['roller_pin']], 'names "roller_pin", which is not there'],
]);

it('keeps a name by its value, so that one name stays one object', function (): void {
    expect(static fn (): string => serialize(Ustrel\Core\Spec\CheckKey::from('closing_gap')))->toThrow(LogicException::class, 'closing_gap')
        ->and(json_encode(['check' => Ustrel\Core\Spec\CheckKey::from('closing_gap')], JSON_THROW_ON_ERROR))->toBe('{"check":"closing_gap"}')
        ->and(Ustrel\Core\Spec\CheckKey::tryFrom('own_0'))->toBeNull()
        ->and(Ustrel\Core\Spec\CheckKey::tryFrom('own_25'))->toBeNull()
        ->and(Ustrel\Core\Spec\CheckKey::tryFrom('own_24')?->isOwn())->toBeTrue();
});
