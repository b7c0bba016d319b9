<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Paper;

use ChalkLadder\Core\Paper\KnowledgeTracing;
use PHPUnit\Framework\TestCase;

final class KnowledgeTracingTest extends TestCase
{
    public function testTwoStepsByHand(): void
    {
        $model = new KnowledgeTracing(0.3, 0.1, 0.1, 0.2);
        // Right: 0.27 / (0.27 + 0.14) = 27/41; then learning adds a tenth of the rest.
        $first = 27 / 41 + (1 - 27 / 41) / 10;
        // Wrong: 0.1 k / (0.1 k + 0.8 (1 − k)).
        $given = 0.1 * $first / (0.1 * $first + 0.8 * (1 - $first));
        self::assertEqualsWithDelta([$first, $given + (1 - $given) / 10], $model->trace([true, false]), 1e-12);
    }

    public function testRightRaisesWrongLowersAndAllStayChances(): void
    {
        foreach ([[0.05, 0.0, 0.05, 0.1], [0.5, 0.2, 0.3, 0.3], [0.99, 0.01, 0.01, 0.9]] as [$k, $l, $s, $g]) {
            $model = new KnowledgeTracing($k, $l, $s, $g);
            self::assertGreaterThan($model->after($k, false), $model->after($k, true));
            foreach ($model->trace([true, true, false, true, false, false, true]) as $p) {
                self::assertTrue($p >= 0.0 && $p <= 1.0);
            }
        }
    }

    public function testParametersThatMakeNoSenseAreRefused(): void
    {
        foreach ([[-0.1, 0.1, 0.1, 0.1], [0.3, 1.1, 0.1, 0.1], [0.3, 0.1, 0.6, 0.5], [NAN, 0.1, 0.1, 0.1]] as [$k, $l, $s, $g]) {
            try {
                new KnowledgeTracing($k, $l, $s, $g);
                self::fail('It was taken.');
            } catch (\DomainException $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
    }
}
