<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Response\TextResponse;

/** Reads responses from their JSON form (docs/formats/question.md), which is told by its members, not by a type. */
final class ResponseReader
{
    /**
     * @param array<array-key, mixed> $json `{"text": …}`, `{"options": […]}` and so on
     *
     * @throws \ChalkLadder\Core\Document\DocumentInvalid
     */
    public static function fromArray(array $json): Response
    {
        $node = new Node($json, 'value');
        $response = self::read($node);
        $node->finish();

        return $response;
    }

    /** The same from a place in a larger document; what is wrong is noted there. */
    public static function read(Node $node): Response
    {
        $response = self::kindOf($node)::read($node);
        $node->rejectUnknown();

        return $response;
    }

    /** The same for two responses that say the same, letter by letter. */
    public static function key(Response $response): string
    {
        return json_encode($response->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }

    /**
     * The kind that has most of the members that stand there.
     *
     * @return class-string<Response>
     */
    private static function kindOf(Node $node): string
    {
        $kind = TextResponse::class;
        $most = $node->has('text') ? 1 : 0;
        foreach (ItemType::cases() as $type) {
            foreach ($type->definition()->responses() as $one) {
                $members = count(array_filter($one::members(), $node->has(...)));
                if ($members > $most) {
                    [$kind, $most] = [$one, $members];
                }
            }
        }

        return $kind;
    }
}
