<?php

declare(strict_types=1);

namespace App\Intake;

/** A field of a card as a person fills it in; the cases stand in the order in which a form or a table shows them. */
enum CardField: string
{
    case Tag = 'tag';
    case Name = 'name';
    case Form = 'form';
    case Capacity = 'capacity';
    case Family = 'family';
    case Bus = 'bus';
    case Marks = 'marks';
    case Read = 'read';
    case Write = 'write';
    case Sustained = 'sustained';
    case Times = 'times';
    case ContactRows = 'contact_rows';
    case Footage = 'footage';
    case Serial = 'serial';
    case BackCode = 'back_code';
    case Price = 'price';
    case Currency = 'currency';
    case Seller = 'seller';
    case OrderNo = 'order_no';
    case Lot = 'lot';
    case BoughtOn = 'bought_on';
    case Provenance = 'provenance';

    /** The heading of its column. */
    public function heading(): string
    {
        return match ($this) {
            self::Tag => 'Tag',
            self::Name => 'Maker and series',
            self::Form => 'Form',
            self::Capacity => 'Capacity',
            self::Family => 'Family',
            self::Bus => 'Bus',
            self::Marks => 'Marks',
            self::Read => 'Read claim',
            self::Write => 'Write claim',
            self::Sustained => 'Sustained write',
            self::Times => '×-rating',
            self::ContactRows => 'Contact rows',
            self::Footage => 'Footage on it',
            self::Serial => 'Serial',
            self::BackCode => 'Back code',
            self::Price => 'Price',
            self::Currency => 'Currency',
            self::Seller => 'Seller',
            self::OrderNo => 'Order',
            self::Lot => 'Lot',
            self::BoughtOn => 'Bought on',
            self::Provenance => 'Provenance',
        };
    }

    /** @return list<string> other headings that people give such a column, in small letters */
    public function alsoCalled(): array
    {
        return match ($this) {
            self::Tag => ['code', 'card', 'id', 'no', 'number'],
            self::Name => ['name', 'maker', 'brand', 'series', 'model', 'product', 'card name', 'make'],
            self::Form => ['type', 'form factor', 'card type'],
            self::Capacity => ['size', 'gb', 'capacity gb', 'storage'],
            self::Family => ['standard'],
            self::Bus => ['interface'],
            self::Marks => ['speed marks', 'classes', 'class', 'speed class'],
            self::Read => ['read', 'read speed', 'max read', 'read mb/s', 'claims to read'],
            self::Write => ['write', 'write speed', 'max write', 'write mb/s', 'claims to write'],
            self::Sustained => ['sustained', 'min write'],
            self::Times => ['times', 'rating', 'x rating', 'x-rating'],
            self::ContactRows => ['contacts', 'rows', 'rows of contacts', 'contact rows', 'contact rows turn it over'],
            self::Footage => ['footage', 'it carries'],
            self::Serial => ['serial number', 'serial no', 's/n', 'sn', 'serials', 'serials one to a line in the order of the tags'],
            self::BackCode => ['back code', 'factory code', 'code on the back'],
            self::Price => ['paid', 'cost', 'amount', 'unit price', 'price of one'],
            self::Currency => ['ccy'],
            self::Seller => ['shop', 'vendor', 'bought from', 'supplier'],
            self::OrderNo => ['order', 'order no', 'order number', 'invoice'],
            self::Lot => ['batch', 'lot no', 'lot number'],
            self::BoughtOn => ['date', 'bought', 'purchase date', 'purchased'],
            self::Provenance => ['source', 'origin', 'came from', 'came by way of'],
        };
    }
}
