// Written by web/tools/limits.mjs from openapi.json; change that, not this.

export const Recipe = {
  "blendS": {
    "type": "number",
    "minimum": 0,
    "maximum": 600
  },
  "brewPct": {
    "type": "number",
    "minimum": 0,
    "maximum": 100
  },
  "coarse": {
    "type": "boolean"
  },
  "cookMin": {
    "type": "number",
    "minimum": 0,
    "maximum": 600
  },
  "covered": {
    "type": "boolean"
  },
  "heat": {
    "type": "string",
    "enum": [
      "",
      "none",
      "warm",
      "under-boil",
      "simmer",
      "boil"
    ]
  },
  "hotFill": {
    "type": "boolean"
  },
  "kind": {
    "type": "string",
    "enum": [
      "",
      "milk",
      "creamer",
      "cream",
      "horchata",
      "nog",
      "concentrate",
      "chocolate",
      "brewed",
      "cooler"
    ]
  },
  "lines": {
    "type": "array"
  },
  "notes": {
    "type": "array"
  },
  "panCM": {
    "type": "number",
    "minimum": 0,
    "maximum": 80
  },
  "perDay": {
    "type": "number",
    "minimum": 0,
    "maximum": 1000
  },
  "portions": {
    "type": "array"
  },
  "process": {
    "type": "array"
  },
  "rawC": {
    "type": "number",
    "minimum": 0,
    "maximum": 100
  },
  "servingML": {
    "type": "number",
    "minimum": 0,
    "maximum": 5000
  },
  "shopPrice": {
    "type": "number",
    "minimum": 0,
    "maximum": 100000
  },
  "sizeBy": {
    "type": "string",
    "enum": [
      "",
      "times",
      "volume",
      "servings",
      "base",
      "bottles",
      "days"
    ]
  },
  "sizeEach": {
    "type": "number",
    "minimum": 0,
    "maximum": 1000000
  },
  "sizeValue": {
    "type": "number",
    "minimum": 0,
    "maximum": 1000000
  },
  "spices": {
    "type": "string",
    "enum": [
      "linear",
      "eased"
    ]
  },
  "strainer": {
    "type": "string",
    "enum": [
      "bag",
      "cloth",
      "gentle",
      "passes",
      "sieve",
      "sieve-pushed",
      "sieve-cloth",
      "none",
      "juicer"
    ]
  },
  "system": {
    "type": "string",
    "enum": [
      "us",
      "metric",
      "au",
      "imperial"
    ]
  },
  "warmsC": {
    "type": "number",
    "minimum": 0,
    "maximum": 60
  },
  "waterC": {
    "type": "number",
    "minimum": 0,
    "maximum": 100
  }
} as const

export const Cup = {
  "acid": {
    "type": "boolean"
  },
  "ageDays": {
    "type": "number",
    "minimum": 0,
    "maximum": 60
  },
  "cupC": {
    "type": "number",
    "minimum": 0,
    "maximum": 100
  },
  "cupML": {
    "type": "number",
    "minimum": 0,
    "maximum": 5000
  },
  "into": {
    "type": "string",
    "enum": [
      "coffee",
      "water",
      "milk",
      "ice"
    ]
  },
  "name": {
    "type": "string",
    "maxLength": 120
  },
  "recipe": {},
  "spoonML": {
    "type": "number",
    "minimum": 0,
    "maximum": 5000
  }
} as const

export const ToMatch = {
  "fatG": {
    "type": "number",
    "minimum": 0,
    "maximum": 100
  },
  "proteinG": {
    "type": "number",
    "minimum": 0,
    "maximum": 100
  },
  "recipe": {},
  "sugarsG": {
    "type": "number",
    "minimum": 0,
    "maximum": 100
  }
} as const

export const Trial = {
  "cupML": {
    "type": "number",
    "minimum": 1,
    "maximum": 5000
  },
  "lines": {
    "type": "array"
  },
  "name": {
    "type": "string",
    "maxLength": 120
  },
  "recipe": {},
  "returned": {
    "type": "boolean"
  }
} as const

export const ToBlend = {
  "a": {
    "type": "string",
    "maxLength": 120
  },
  "b": {
    "type": "string",
    "maxLength": 120
  },
  "of": {
    "type": "string",
    "enum": [
      "fat",
      "solids"
    ]
  },
  "target": {
    "type": "number",
    "minimum": 0,
    "maximum": 100
  },
  "volumeML": {
    "type": "number",
    "minimum": 1,
    "maximum": 100000
  }
} as const

export const ToLetDown = {
  "name": {
    "type": "string",
    "maxLength": 120
  },
  "recipe": {},
  "secondML": {
    "type": "number",
    "minimum": 0,
    "maximum": 100000
  }
} as const

export const Portion = {
  "lines": {
    "type": "array"
  },
  "ml": {
    "type": "number",
    "minimum": 0,
    "maximum": 1000000
  },
  "name": {
    "type": "string",
    "maxLength": 120
  }
} as const

export const Wish = {
  "bases": {
    "type": "array"
  },
  "days": {
    "type": "number",
    "minimum": 1,
    "maximum": 60
  },
  "flavour": {
    "type": "string",
    "maxLength": 40
  },
  "idea": {
    "type": "integer",
    "minimum": 0,
    "maximum": 1000
  },
  "kind": {
    "type": "string",
    "enum": [
      "milk",
      "creamer",
      "cream",
      "horchata",
      "nog",
      "chocolate",
      "concentrate",
      "cooler"
    ]
  },
  "people": {
    "type": "number",
    "minimum": 1,
    "maximum": 200
  },
  "richness": {
    "type": "string",
    "enum": [
      "light",
      "usual",
      "rich"
    ]
  },
  "servingsDay": {
    "type": "number",
    "minimum": 0.5,
    "maximum": 20
  },
  "suits": {
    "type": "array"
  },
  "sweetener": {
    "type": "string",
    "maxLength": 60
  },
  "sweetness": {
    "type": "integer",
    "minimum": 0,
    "maximum": 3
  },
  "whole": {
    "type": "boolean"
  },
  "withinH": {
    "type": "number",
    "minimum": 0,
    "maximum": 480
  },
  "without": {
    "type": "array"
  }
} as const

export const Purchase = {
  "bestBefore": {
    "type": "string",
    "maxLength": 10
  },
  "pack": {
    "type": "string",
    "maxLength": 60
  },
  "packs": {
    "type": "number",
    "minimum": 0,
    "maximum": 1000
  },
  "price": {
    "type": "number",
    "minimum": 0,
    "maximum": 1000000
  }
} as const

export const LowAt = {
  "lowG": {
    "type": "number",
    "minimum": 0,
    "maximum": 1000000
  }
} as const

export const NewPack = {
  "pack": {
    "type": "string",
    "maxLength": 60
  },
  "price": {
    "type": "number"
  }
} as const

export const Adjustment = {
  "gPerCup": {
    "type": "number"
  },
  "label": {},
  "lifeDays": {
    "type": "number",
    "minimum": 0.5,
    "maximum": 400
  },
  "pieceG": {
    "type": "number",
    "minimum": 0.001,
    "maximum": 10000
  }
} as const

export const BatchCorrection = {
  "driedPulpG": {
    "type": "number",
    "minimum": 1,
    "maximum": 1000000
  },
  "madeOn": {
    "type": "string",
    "maxLength": 10
  },
  "measuredML": {
    "type": "number",
    "minimum": 1,
    "maximum": 1000000
  },
  "notes": {
    "type": "string",
    "maxLength": 2000
  },
  "pulpG": {
    "type": "number",
    "minimum": 1,
    "maximum": 1000000
  }
} as const

export const NewOwnItem = {
  "text": {
    "type": "string",
    "minLength": 1,
    "maxLength": 120
  }
} as const

export const Bottling = {
  "bottles": {
    "type": "array"
  },
  "measuredML": {
    "type": "number",
    "minimum": 1,
    "maximum": 1000000
  },
  "pulpG": {
    "type": "number",
    "minimum": 1,
    "maximum": 1000000
  }
} as const

export const Drinker = {
  "age": {
    "type": "string",
    "enum": [
      "under 1",
      "1 to 3",
      "4 to 6",
      "7 to 10",
      "11 to 14",
      "15 to 17",
      "adult"
    ]
  },
  "allergens": {
    "type": "array"
  },
  "cleared": {
    "type": "array"
  },
  "dairyFree": {
    "type": "boolean"
  },
  "dislikes": {
    "type": "array"
  },
  "name": {
    "type": "string",
    "minLength": 1,
    "maxLength": 60
  },
  "servingsDay": {
    "type": "number",
    "minimum": 0,
    "maximum": 50
  },
  "vegan": {
    "type": "boolean"
  },
  "weightKG": {
    "type": "number",
    "minimum": 0,
    "maximum": 300
  }
} as const

export const DrinkName = {
  "archived": {
    "type": "boolean"
  },
  "changed": {
    "type": "string"
  },
  "id": {
    "type": "integer"
  },
  "lastMade": {
    "type": "string"
  },
  "name": {
    "type": "string"
  },
  "versions": {
    "type": "integer"
  }
} as const

export const Label = {
  "carbohydrateG": {
    "type": "number"
  },
  "fatG": {
    "type": "number"
  },
  "fibreG": {
    "type": "number"
  },
  "proteinG": {
    "type": "number"
  },
  "saturatedFatG": {
    "type": "number"
  },
  "sodiumMg": {
    "type": "number"
  },
  "sugarsG": {
    "type": "number"
  }
} as const

export const NewBatch = {
  "anyway": {
    "type": "boolean"
  },
  "bottles": {
    "type": "array"
  },
  "madeOn": {
    "type": "string",
    "maxLength": 10
  },
  "measuredML": {
    "type": "number",
    "minimum": 1,
    "maximum": 1000000
  }
} as const

export const NewBottle = {
  "place": {
    "type": "string",
    "enum": [
      "fridge",
      "freezer"
    ]
  },
  "volumeML": {
    "type": "number",
    "minimum": 1,
    "maximum": 50000
  }
} as const

export const NewBowl = {
  "dryG": {
    "type": "number",
    "minimum": 1,
    "maximum": 20000
  },
  "fridge": {
    "type": "boolean"
  },
  "ingredient": {
    "type": "string",
    "maxLength": 60
  }
} as const

export const NewItem = {
  "anyway": {
    "type": "boolean"
  },
  "bowlID": {
    "type": "integer",
    "minimum": 0
  },
  "drinkID": {
    "type": "integer",
    "minimum": 1
  },
  "guests": {
    "type": "number",
    "minimum": 0,
    "maximum": 500
  },
  "readyBy": {
    "type": "string",
    "maxLength": 40
  },
  "servingsEach": {
    "type": "number",
    "minimum": 0,
    "maximum": 20
  },
  "startNow": {
    "type": "boolean"
  },
  "volumeML": {
    "type": "number",
    "minimum": 0,
    "maximum": 1000000
  }
} as const

export const NewPassphrase = {
  "current": {
    "type": "string",
    "maxLength": 1000
  },
  "passphrase": {
    "type": "string",
    "maxLength": 1000
  }
} as const

export const NewTimer = {
  "minutes": {
    "type": "number"
  },
  "name": {
    "type": "string",
    "maxLength": 120
  }
} as const

export const OpenedPack = {
  "openedOn": {
    "type": "string",
    "maxLength": 10
  },
  "printed": {
    "type": "string",
    "maxLength": 10
  },
  "what": {
    "type": "string",
    "minLength": 1,
    "maxLength": 300
  }
} as const

export const OwnMeasure = {
  "name": {
    "type": "string",
    "minLength": 1,
    "maxLength": 30
  },
  "replace": {
    "type": "boolean"
  },
  "waterG": {
    "type": "number"
  }
} as const

export const OwnRow = {
  "allergens": {
    "type": "array"
  },
  "gPerCup": {
    "type": "number"
  },
  "label": {},
  "lifeDays": {
    "type": "number",
    "minimum": 0.5,
    "maximum": 400
  },
  "name": {
    "type": "string",
    "minLength": 1,
    "maxLength": 120
  },
  "pieceG": {
    "type": "number",
    "minimum": 0.001,
    "maximum": 10000
  },
  "role": {
    "type": "string",
    "enum": [
      "base",
      "liquid",
      "sweetener",
      "spice",
      "flavour",
      "fat",
      "salt",
      "dairy",
      "body",
      "other"
    ]
  },
  "vegan": {
    "type": "boolean"
  }
} as const

export const PackEnd = {
  "thrown": {
    "type": "boolean"
  },
  "why": {
    "type": "string",
    "maxLength": 200
  }
} as const

export const PackPrice = {
  "inShell": {
    "type": "boolean"
  },
  "pack": {
    "type": "string",
    "maxLength": 60
  },
  "price": {
    "type": "number"
  },
  "revision": {
    "type": "integer",
    "minimum": 0
  }
} as const

export const PackUse = {
  "massG": {
    "type": "number",
    "minimum": 0.1,
    "maximum": 1000000
  }
} as const

export const Poured = {
  "agoS": {
    "type": "number",
    "minimum": 0,
    "maximum": 604800
  },
  "ml": {
    "type": "number",
    "minimum": 0,
    "maximum": 50000
  },
  "servings": {
    "type": "number",
    "minimum": 0,
    "maximum": 1000
  }
} as const

export const Settings = {
  "blender": {
    "type": "string",
    "enum": [
      "regular",
      "high-speed"
    ]
  },
  "currency": {
    "type": "string",
    "pattern": "^[A-Z]{3}$"
  },
  "fridgeC": {
    "type": "number",
    "minimum": -2,
    "maximum": 30
  },
  "handsQuiet": {
    "type": "string",
    "maxLength": 20
  },
  "jugML": {
    "type": "number",
    "minimum": 100,
    "maximum": 50000
  },
  "kitchenC": {
    "type": "number",
    "minimum": 5,
    "maximum": 45
  },
  "language": {
    "type": "string",
    "enum": [
      "en",
      "es"
    ]
  },
  "locale": {
    "type": "string",
    "maxLength": 12,
    "pattern": "^([a-z]{2}-[A-Z]{2})?$"
  },
  "measures": {
    "type": "array"
  },
  "noiseQuiet": {
    "type": "string",
    "maxLength": 20
  },
  "panCM": {
    "type": "number",
    "minimum": 0,
    "maximum": 80
  },
  "revision": {
    "type": "integer",
    "minimum": 0
  },
  "scaleG": {
    "type": "number",
    "minimum": 0,
    "maximum": 1000
  },
  "school": {
    "type": "string",
    "enum": [
      "cautious",
      "customary"
    ]
  },
  "system": {
    "type": "string",
    "enum": [
      "us",
      "metric",
      "au",
      "imperial"
    ]
  },
  "tapC": {
    "type": "number",
    "minimum": 0,
    "maximum": 60
  },
  "temperature": {
    "type": "string",
    "enum": [
      "c",
      "f"
    ]
  },
  "theme": {
    "type": "string",
    "enum": [
      "system",
      "day",
      "night"
    ]
  },
  "timeZone": {
    "type": "string",
    "maxLength": 60
  },
  "volumes": {
    "type": "string",
    "enum": [
      "metric",
      "us",
      "imperial"
    ]
  },
  "weekStart": {
    "type": "string",
    "enum": [
      "monday",
      "sunday",
      "saturday"
    ]
  },
  "welcomed": {
    "type": "boolean"
  }
} as const

export const SignIn = {
  "device": {
    "type": "string",
    "maxLength": 60
  },
  "passphrase": {
    "type": "string",
    "maxLength": 1000
  }
} as const

export const StockOf = {
  "massG": {
    "type": "number",
    "minimum": 0,
    "maximum": 1000000
  }
} as const

export const VersionNote = {
  "note": {
    "type": "string",
    "maxLength": 300
  }
} as const

export const WeighedNow = {
  "key": {
    "type": "string",
    "maxLength": 200
  },
  "massG": {
    "type": "number"
  },
  "taken": {
    "type": "boolean"
  }
} as const

export const Why = {
  "cause": {
    "type": "string",
    "enum": [
      "",
      "past-date",
      "soured",
      "split",
      "not-drunk"
    ]
  },
  "why": {
    "type": "string",
    "maxLength": 200
  }
} as const
