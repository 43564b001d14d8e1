<?php

declare(strict_types=1);

use Tests\FeatureTestCase;

pest()->extend(FeatureTestCase::class)->in('Record', 'Yard', 'People', 'Spec', 'Walk', 'Parts', 'Wear', 'Season', 'Plan', 'Work', 'Bench', 'Field', 'Architecture/WordingTest.php');
