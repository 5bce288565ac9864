/** What work begins with. */
const verbs =
  /^(?:then |next,? |now |gently |carefully |slowly |gradually |meanwhile,? |finally,? |first,? |lightly |briefly |immediately |in (?:a|the|another|your) |on (?:a|the) |using |with (?:a|the|your|wet|floured) |once |when |after |if |while |as soon |until |over |to (?:make|bake|shape|prepare|serve) |at this |by now |your |the (?:dough|bread|loaf|loaves|next|mixture|yeast)|this |it |you |i |we |don[’']?t )?(?:mix|combine|knead|stir|add|place|put|bake|pre-?heat|let|leave|cover|rise|proof|prove|shape|divide|roll|punch|knock|fold|turn|transfer|heat|whisk|dissolve|pour|sprinkle|brush|remove|cool|rest|allow|grease|line|dust|slice|serve|refrigerate|chill|repeat|form|cut|work|stretch|score|slash|spray|steam|boil|simmer|soak|drain|press|flatten|tip|bring|set|beat|melt|warm|feed|build|load|select|start|press|choose|invert|wrap|store|freeze|sift|rub|incorporate|dump|scrape|check|make sure|reduce|increase|lower|wait|do|give|take|keep|return|arrange|top|drizzle|glaze|autolyse|ferment|retard|shape|pat|weigh|measure|blend|process|pulse|crumble|toast|grind|mill|discard|reserve|perform|continue|finish|enjoy)\b/i;
const aside =
  /^(?:in (?:a|the|another|your) |on (?:a|the) |using |once |when |after |if |while |as soon |over |at this |by now |the (?:dough|bread|loaf|loaves|next|mixture|yeast|longer|crust)|this |it |you |i |we |don[’']?t |your |my |these |that |there |for best |meanwhile|note)/i;

/** Whether a text is a sentence about the work, and not of something that goes in. */
export function isMethod(text: string): boolean {
  const words = text.trim().split(/\s+/).length;
  if (words < 2) return false;
  const sentence = /[.!]["”]?\s*$/.test(text) || /[.!]\s+[A-Z]/.test(text);
  if (verbs.test(text.trim())) return words >= 3 || sentence;
  return (aside.test(text.trim()) && words >= 4) || (sentence && words >= 7) || words >= 16;
}
