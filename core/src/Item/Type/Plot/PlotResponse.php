<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Plot;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Response\Marks;
use ChalkLadder\Core\Item\Response\PointsResponse;

/** Points, lines and intervals on a grid or number line. */
final readonly class PlotResponse implements Response
{
    /**
     * @param list<list<BigRational>> $points    [x, y]
     * @param list<list<BigRational>> $lines     [x1, y1, x2, y2]
     * @param list<list<BigRational>> $intervals [from, to]
     */
    public function __construct(public array $points = [], public array $lines = [], public array $intervals = [])
    {
    }

    /** Points alone come in a form of their own. */
    public static function of(Response $response): self
    {
        return match (true) {
            $response instanceof self => $response,
            $response instanceof PointsResponse => new self($response->points),
            default => new self(),
        };
    }

    public static function members(): array
    {
        return ['points', 'lines', 'intervals'];
    }

    public static function read(Node $node): self
    {
        return new self(Marks::read($node, 'points', 2), Marks::read($node, 'lines', 4), Marks::read($node, 'intervals', 2));
    }

    public function isBlank(): bool
    {
        return $this->points === [] && $this->lines === [] && $this->intervals === [];
    }

    public function toArray(): array
    {
        $marks = array_filter(
            ['points' => Marks::write($this->points), 'lines' => Marks::write($this->lines), 'intervals' => Marks::write($this->intervals)],
            static fn (array $some): bool => $some !== [],
        );

        return $marks === [] ? self::NOTHING : $marks;
    }
}
