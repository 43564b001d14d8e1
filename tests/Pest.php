<?php

declare(strict_types=1);

use Tests\FeatureTestCase;

pest()->extend(FeatureTestCase::class)->in('Feature');
