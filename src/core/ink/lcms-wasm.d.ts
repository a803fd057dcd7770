/** What is used of the module, which ships without types. */
declare module 'lcms-wasm' {
  export interface Cms {
    cmsOpenProfileFromMem(bytes: Uint8Array, length: number): number
    cmsCreate_sRGBProfile(): number
    cmsGetColorSpaceASCII(profile: number): string | null
    cmsGetProfileInfoASCII(profile: number, info: number, language: string, country: string): string
    cmsCreateTransform(
      from: number,
      fromType: number,
      to: number,
      toType: number,
      intent: number,
      flags: number,
    ): number
    cmsDoTransform(transform: number, bytes: Uint8Array, pixels: number): Uint8Array
  }
  export interface Lcms {
    INTENT_RELATIVE_COLORIMETRIC: number
    cmsFLAGS_BLACKPOINTCOMPENSATION: number
    cmsInfoDescription: number
    TYPE_RGB_8: number
    TYPE_CMYK_8: number
    instantiate(options: { wasmBinary: Uint8Array }): Promise<Cms>
  }
}
